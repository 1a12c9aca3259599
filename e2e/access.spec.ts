import AxeBuilder from '@axe-core/playwright';
import { type Page, expect, openDemo, remediesReady, test, unfold } from './bench';

/** The rules an automatic reader can check: WCAG 2.0 to 2.2, levels A and AA. */
const levels = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** Of them, those another theme can break. */
const ofColours = ['color-contrast', 'link-in-text-block'];

async function faultsOf(page: Page, theme: 'light' | 'dark' = 'light'): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (
    theme === 'light' ? axe.withTags(levels) : axe.withRules(ofColours)
  ).analyze();
  return violations.map(({ id, nodes }) => {
    const places = nodes.slice(0, 4).map((node) => node.target.join(' '));
    return `${id}: ${places.join(' | ')}`;
  });
}

/** The page listens to keys once it shows what it found. */
async function toSatchel(page: Page): Promise<void> {
  await page.goto('/satchel');
  await expect(page.locator('li[data-code]').first()).toBeVisible();
  await remediesReady(page);
}

/** Every view and every dialog: how one gets there, and what shows that one has arrived. */
const places: Record<string, (page: Page) => Promise<void>> = {
  'the satchel': async (page) => {
    await toSatchel(page);
  },
  'a ignored and the settings': async (page) => {
    await toSatchel(page);
    await unfold(page.locator('li[data-code]').first());
    const letItBe = page.getByRole('button', { name: /^Ignore/ });
    await letItBe.first().click();
    expect(await faultsOf(page), 'ignore').toEqual([]);
    await page.getByRole('button', { name: 'Settings for Loom lesson' }).click();
    await expect(page.getByRole('dialog')).toContainText('1/50 s');
  },
  'the brief, all of it open': async (page) => {
    await page.goto('/brief');
    await page.getByText('Weigh it my own way').click();
    await page.getByText('What all six say').click();
    await page.getByRole('button', { name: 'Limit single pockets' }).click();
    await page.getByRole('button', { name: /^Share it out/ }).click();
    await expect(page.locator('.verdicts li')).toHaveCount(6);
    await page.getByText('Where people disagree').click();
    await expect(page.locator('.side').first()).toBeVisible();
  },
  'the buying list': async (page) => {
    await page.goto('/buying');
    await expect(page.getByRole('heading', { name: 'Buying list' })).toBeVisible();
  },
  'the set': async (page) => {
    await page.goto('/set');
    await page.getByRole('button', { name: 'Loom lesson' }).click();
    await expect(page.getByRole('slider', { name: 'Camera', exact: true })).toBeVisible();
    await page.getByLabel('Beside it').selectOption({ label: 'f/8' });
    await expect(page.getByRole('img', { name: /The same with/ })).toBeVisible();
  },
  'practising, and how it went': async (page) => {
    await page.goto('/set/practise');
    await page.getByRole('button', { name: 'Take it' }).click();
    await expect(page.getByRole('region', { name: 'How it went' })).toBeVisible();
  },
  'the ledger': async (page) => {
    await page.goto('/ledger');
    await expect(page.getByRole('list', { name: 'The running account' })).toBeVisible();
  },
  'the cards': async (page) => {
    await page.goto('/cards');
    await page.getByRole('tab', { name: 'Pre-roll' }).click();
    await expect(page.getByRole('heading', { name: 'Pre-roll' })).toBeVisible();
  },
  'the packer': async (page) => {
    await page.goto('/satchel/pack');
    await expect(page.getByRole('img', { name: /^What every spend buys/ })).toBeVisible();
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
  },
  'a day rehearsed': async (page) => {
    await page.goto('/rehearse');
    await expect(page.getByRole('region', { name: 'Many such days' })).toContainText('in 100');
    for (const part of ['When it begins, and its takes', 'The day as a table'])
      await page.getByRole('button', { name: part }).click();
    await page.getByRole('button', { name: /^My lists/ }).click();
  },
  'takes measured': async (page) => {
    await page.goto('/proof');
    for (const what of ['Simulate a still', 'Simulate a sound take', 'Simulate a sound take']) {
      const before = await page
        .getByRole('list', { name: 'Takes kept' })
        .getByRole('button')
        .count();
      await page.getByRole('button', { name: what }).click();
      const list = page.getByRole('list', { name: 'Takes kept' }).getByRole('button');
      await expect(list).toHaveCount(before + 1, { timeout: 30_000 });
      await list.first().click();
    }
    await expect(page.getByRole('region', { name: 'Two takes compared' })).toBeVisible();
  },
  'the logbook': async (page) => {
    await page.goto('/rehearse/logbook');
    await page.getByRole('button', { name: 'Write a day down' }).click();
    await expect(page.getByRole('form', { name: 'A day of the logbook' })).toBeVisible();
  },
  'the inventory': async (page) => {
    await page.goto('/inventory');
    await page
      .getByRole('button', { name: /^What is known of/ })
      .first()
      .click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  'plans compared': async (page) => {
    await page.goto('/compare');
    await page.getByRole('button', { name: 'Branch plan B' }).click();
    await expect(page.getByRole('main')).toContainText('Nothing differs');
  },
  'an opened pocket': async (page) => {
    await page.goto('/satchel/lens');
    await expect(page.getByRole('option').first()).toBeVisible();
  },
  'a spreadsheet on the shelf': async (page) => {
    await page.goto('/shelf');
    await page.getByRole('button', { name: 'Import a spreadsheet' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  'a part of one’s own': async (page) => {
    await page.goto('/shelf/edit');
    await page.getByLabel('Specification text').fill('Microphone, cardioid, 38 g');
    await expect(page.locator('mark').first()).toBeVisible();
  },
  'a part': async (page) => {
    await page.goto('/shelf/orrowby-linnet-ii');
    await expect(page.getByRole('heading', { name: 'To scale' })).toBeVisible();
  },
  'the keys': async (page) => {
    await toSatchel(page);
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  },
  'search-and-do': async (page) => {
    await toSatchel(page);
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: /Find a part/ }).fill('step-up ring');
    await expect(page.getByRole('option').first()).toBeVisible();
  },
  'plans and projects': async (page) => {
    await toSatchel(page);
    await page.getByRole('button', { name: /^Plans and projects/ }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  files: async (page) => {
    await toSatchel(page);
    await page.getByRole('button', { name: 'File', exact: true }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  }
};

/** Both themes, on the page as it lies: they differ in colours alone, and change while one looks. */
async function expectNoFault(page: Page): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    // What fades has no colour of its own yet, and on a busy machine it fades for long.
    await page.waitForTimeout(400);
    await expect(async () =>
      expect(await faultsOf(page, colorScheme), colorScheme).toEqual([])
    ).toPass({ timeout: 30_000 });
  }
}

const IN_ONE_BROWSER = 4;

test.describe('no accessibility fault in either theme', () => {
  test('on the first run', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('button', { name: 'Pack a first kit' })).toBeVisible();
    await expectNoFault(page);
  });

  // Several in one browser: opening the demo takes as long as reading a view.
  const all = Object.entries(places);
  for (let first = 0; first < all.length; first += IN_ONE_BROWSER) {
    const some = all.slice(first, first + IN_ONE_BROWSER);
    test(`in ${some.map(([name]) => name).join(', ')}`, async ({ page }) => {
      test.setTimeout(400_000);
      await openDemo(page);
      for (const [name, arrive] of some)
        await test.step(name, async () => {
          await arrive(page);
          await expectNoFault(page);
        });
    });
  }
});
