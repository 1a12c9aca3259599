<script lang="ts">
  import { Button, Checkbox, ContentSwitcher, Switch } from 'carbon-components-svelte';
  import { cardMarkdown, cardsOf } from '$lib/core/cards/cards';
  import { satchel } from '$lib/state/project-store.svelte';
  import { saveFile } from '$lib/ui/shell/save-file';

  /** Lists one carries to the shoot: ticked on the phone, kept in this browser, put back for the next shoot. */
  let shown = $state(0);
  let ticked = $state.raw<ReadonlySet<string>>(new Set());
  let failure = $state('');

  const cards = $derived(
    satchel.project && satchel.judgement ? cardsOf(satchel.project, satchel.judgement) : []
  );
  const card = $derived(cards[shown]);
  const keyOf = (key: string) => `${card?.id} ${key}`;
  const done = $derived(
    card?.groups.flatMap(({ items }) => items).filter(({ key }) => ticked.has(keyOf(key))).length ??
      0
  );
  const all = $derived(card?.groups.flatMap(({ items }) => items).length ?? 0);

  let ticksOf = $state('');
  $effect(() => {
    const id = satchel.project?.id;
    if (id === undefined || id === ticksOf) return;
    ticksOf = id;
    satchel.repository.ticks
      .of(id)
      .then((keys) => {
        if (satchel.project?.id === id) ticked = new Set(keys);
      })
      .catch(() => (failure = 'What was ticked before cannot be read in this browser.'));
  });

  async function keep(next: ReadonlySet<string>) {
    ticked = next;
    if (!satchel.project) return;
    try {
      await satchel.repository.ticks.set(satchel.project.id, [...next]);
      failure = '';
    } catch {
      failure = 'The ticks could not be saved; they last until this page is closed.';
    }
  }
  function tick(key: string, on: boolean) {
    const others = [...ticked].filter((other) => other !== keyOf(key));
    void keep(new Set(on ? [...others, keyOf(key)] : others));
  }
  const reset = () =>
    void keep(new Set([...ticked].filter((key) => !key.startsWith(`${card?.id} `))));
</script>

<svelte:head><title>Cards · Hearty Satchel</title></svelte:head>
<p class="back"><a href="/buying">← the buying list</a></p>
{#if satchel.project && card}
  <article class="sheet card">
    <header>
      <div>
        <h1>{card.title}</h1>
        <p class="soft">{satchel.project.name}, {satchel.plan?.name} · {card.about}</p>
      </div>
      <div class="do">
        <Button size="small" on:click={() => window.print()}>Print</Button>
        <Button
          size="small"
          kind="tertiary"
          on:click={() =>
            saveFile(`${card.id}.md`, 'text/markdown', cardMarkdown(satchel.project!.name, card))}
          >Save as Markdown</Button
        >
        <Button size="small" kind="ghost" disabled={done === 0} on:click={reset}
          >Reset for the next shoot</Button
        >
      </div>
    </header>
    <div class="which">
      <ContentSwitcher size="sm" bind:selectedIndex={shown} aria-label="Which card">
        {#each cards as card (card.id)}<Switch text={card.title} />{/each}
      </ContentSwitcher>
    </div>
    {#if failure}<p class="fault" role="alert">{failure}</p>{/if}
    <p class="soft count" role="status">{done} of {all} ticked</p>
    {#each card.groups as group (group.name)}
      <h2>{group.name}</h2>
      <ul>
        {#each group.items as item (item.key)}
          <li class:done={ticked.has(keyOf(item.key))}>
            <Checkbox
              labelText={item.text}
              checked={ticked.has(keyOf(item.key))}
              on:check={({ detail }) => tick(item.key, detail)}
            />
            {#if item.note}<span class="soft figures">{item.note}</span>{/if}
          </li>
        {/each}
      </ul>
    {:else}
      <p>Nothing is in the kit for this card yet. <a href="/satchel">Open the satchel</a>.</p>
    {/each}
  </article>
{/if}

<style>
  .back {
    max-width: 46rem;
    margin: 0 auto 0.4rem;
    font-size: 0.8125rem;
  }

  .sheet {
    overflow-wrap: anywhere;
    max-width: 46rem;
    margin: 0 auto;
    padding: 1.1rem 1.4rem 1.6rem;
    background: var(--paper);
  }

  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: flex-start;
    justify-content: space-between;
  }

  h1 {
    font-size: 1.5rem;
  }

  h2 {
    margin: 0.9rem 0 0.2rem;
    font-size: 1rem;
  }

  h2::first-letter {
    text-transform: uppercase;
  }

  .do {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }

  .which {
    margin-top: 0.7rem;
  }

  .count {
    padding-top: 0.5rem;
  }

  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }

  li {
    display: flex;
    gap: 0.8rem;
    align-items: center;
    justify-content: space-between;
    min-height: 2.3rem;
    border-bottom: 1px dashed var(--line);
  }

  li.done {
    opacity: 0.75;
  }

  li .soft {
    white-space: nowrap;
  }

  .fault {
    color: var(--brick);
  }

  @media print {
    .back,
    .do,
    .which,
    .count {
      display: none;
    }

    .sheet {
      max-width: none;
      border: 0;
      box-shadow: none;
    }
  }
</style>
