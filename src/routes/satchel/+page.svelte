<script lang="ts">
  import Guarded from '$lib/ui/shell/Guarded.svelte';
  import type { Finding } from '$lib/core/findings/finding';
  import type { Judgement } from '$lib/core/judge/judgement';
  import type { FigureId } from '$lib/core/figures/table';
  import { type Why, whyOf } from '$lib/core/figures/why';
  import { satchel } from '$lib/state/project-store.svelte';
  import { useInScene } from '$lib/core/acts/use-in-scene';
  import Bag from '$lib/ui/bag/Bag.svelte';
  import { allowLineDrop, droppedLine } from '$lib/ui/drag/line-drag';
  import SceneRail from '$lib/ui/scenes/SceneRail.svelte';
  import SettleList from '$lib/ui/settle/SettleList.svelte';
  import { keepFocus } from '$lib/ui/shell/keep-focus';
  import InTurn from '$lib/ui/shell/InTurn.svelte';
  import Lazy from '$lib/ui/shell/Lazy.svelte';

  /** Taking what is proposed is fetched when somebody does. */
  const proposals = async () => (await import('$lib/state/proposals')).proposals;

  const judgement = $derived(satchel.judgement);
  /** A project and what is judged of it, which belong together. */
  const judged = $derived(
    satchel.project && judgement ? { project: satchel.project, judgement } : undefined
  );
  const angleIn = ({ angles }: Judgement) =>
    angles.find(({ scene }) => scene.id === satchel.sceneId) ?? angles[0];
  let settingsFor = $state('');
  let settingsOpen = $state(false);
  let whyOpen = $state(false);
  let whyTitle = $state('');
  let why = $state.raw<Why | undefined>(undefined);

  function setStep(lineId: string, step: 'now' | 'later') {
    const line = satchel.plan?.lines.find((line) => line.id === lineId);
    if (line && (line.step === 'later') !== (step === 'later'))
      void satchel.act({ type: 'change line', lineId, patch: { step } });
  }

  function useIn(sceneId: string, lineId: string) {
    const line = satchel.plan?.lines.find((line) => line.id === lineId);
    const gear = line && satchel.shelf.byId.get(line.gearId);
    const scene = satchel.project?.scenes.find((scene) => scene.id === sceneId);
    const act = line && gear && scene && useInScene(scene, line, gear);
    if (act) void satchel.act(act);
  }

  function showWhy(finding: Finding, figure: FigureId) {
    const own = judgement?.angles.find(
      (angle) => angle.scene.id === finding.sceneId && angle.angle.id === finding.angleId
    );
    if (!own) return;
    whyTitle = finding.title();
    why = whyOf(own.record, figure);
    whyOpen = true;
  }
</script>

<svelte:head><title>Satchel · Hearty Satchel</title></svelte:head>
<h1 class="unseen">Satchel</h1>
{#if judged && judgement && satchel.project}
  <div class="bench">
    <aside class="scenes" aria-label="Scenes">
      <h2 class="section-name">Scenes</h2>
      {#if satchel.project.scenes.length === 0}
        <p class="card none">
          Nothing is filmed yet. <a href="/brief">Say what you film</a>, and the kit is judged for
          it.
        </p>
      {/if}
      <Guarded what="The list of scenes"
        ><InTurn value={judged}
          >{#snippet children({ project, judgement })}<SceneRail
              scenes={project.scenes}
              merits={judgement.merit.scenes}
              chosen={satchel.sceneId}
              units={project.units}
              onchoose={(id) => (satchel.sceneId = id)}
              onuse={useIn}
              onsettings={(id) => {
                settingsFor = id;
                settingsOpen = true;
              }}
            />{/snippet}</InTurn
        ></Guarded
      >
      <Lazy load={() => import('$lib/ui/scenes/SchoolNote.svelte')}
        >{#snippet children(SchoolNote)}<SchoolNote
            school={satchel.project!.school}
          />{/snippet}</Lazy
      >
      <Lazy load={() => import('$lib/ui/settle/CautionCard.svelte')}
        >{#snippet children(CautionCard)}
          <div class="cautions"><CautionCard {judgement} /></div>
        {/snippet}</Lazy
      >
    </aside>
    <div
      role="presentation"
      ondragenter={(event) => void allowLineDrop(event)}
      ondragover={(event) => void allowLineDrop(event)}
      ondrop={(event) => {
        const lineId = droppedLine(event);
        if (lineId !== undefined) setStep(lineId, 'now');
      }}
    >
      <Guarded what="The satchel"
        ><InTurn value={judged}
          >{#snippet children({ project, judgement })}<Bag
              {project}
              {judgement}
              angle={angleIn(judgement)}
            />{/snippet}</InTurn
        ></Guarded
      >
      <Lazy load={() => import('$lib/ui/bag/LaterStrip.svelte')}
        >{#snippet children(LaterStrip)}
          <LaterStrip
            lines={judgement.money.lines}
            currency={judgement.money.currency}
            onpostpone={(lineId) => setStep(lineId, 'later')}
            onbring={(lineId) => setStep(lineId, 'now')}
          />
        {/snippet}</Lazy
      >
    </div>
    <aside class="settle" aria-label="To settle" use:keepFocus>
      <Guarded what="What is to settle"
        ><InTurn value={judged}
          >{#snippet children({ project, judgement })}<SettleList
              findings={judgement.findings}
              remedies={satchel.advice.remedies}
              settling={satchel.advice.settling}
              settleFailure={satchel.advice.failure}
              ontryagain={() => satchel.settleAgain()}
              emptyBag={judgement.kit.parts.length === 0
                ? {
                    school: project.school,
                    onpack: async (ontold) => (await proposals()).packPlan(ontold)
                  }
                : undefined}
              currency={project.currency}
              joints={satchel.advice.joints}
              questions={satchel.advice.questions}
              ignored={project.ignored ?? []}
              onanswer={(question, value) => satchel.answer(question, value)}
              onact={(act) => satchel.act(act)}
              onremedy={async (finding, remedy) =>
                (await proposals()).settleWith(finding.key, remedy)}
              onsettleall={async () => (await proposals()).lookForSettlingAll()}
              onlisted={(keys) => (satchel.advice.visible = keys)}
              onwhy={showWhy}
            />{/snippet}</InTurn
        ></Guarded
      >
    </aside>
  </div>
  {#if settingsFor !== ''}
    <Lazy load={() => import('$lib/ui/settings/SettingsDialog.svelte')}
      >{#snippet children(SettingsDialog)}
        <SettingsDialog
          bind:open={settingsOpen}
          angles={judgement.angles.filter(({ scene }) => scene.id === settingsFor)}
          units={satchel.project!.units}
        />
      {/snippet}</Lazy
    >
  {/if}
  {#if why}
    <Lazy load={() => import('$lib/ui/why/WhyDialog.svelte')}
      >{#snippet children(WhyDialog)}
        <WhyDialog bind:open={whyOpen} title={whyTitle} {why} units={satchel.project!.units} />
      {/snippet}</Lazy
    >
  {/if}
{/if}

<style>
  .bench {
    display: grid;
    grid-template-columns: minmax(12rem, 14rem) minmax(0, 1fr) minmax(15rem, 17.5rem);
    gap: 1rem;
    align-items: start;
  }

  /* A wide desk: the findings take the free space, in two columns where there are as many. */
  @media (min-width: 1500px) {
    .bench {
      grid-template-columns: minmax(13rem, 16rem) minmax(0, 1.7fr) minmax(20rem, 1fr);
    }
  }

  .none {
    padding: 0.8rem;
  }

  .cautions {
    margin-top: 0.7rem;
  }

  @media (max-width: 1080px) {
    .bench {
      grid-template-columns: minmax(0, 1fr) minmax(15rem, 18rem);
    }

    .scenes {
      grid-column: 1 / -1;
    }

    .scenes :global(.rail) {
      grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
    }
  }

  @media (max-width: 760px) {
    .bench {
      grid-template-columns: minmax(0, 1fr);
    }

    .scenes {
      grid-row: 3;
    }
  }
</style>
