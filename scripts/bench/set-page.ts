import { chromium } from '@playwright/test';
import { demoProject } from '$lib/catalogue/demos/saltmarsh-loom';
import { catalogue } from '$lib/catalogue/load-catalogue';
import { makeSatchel, writeSatchel } from '$lib/core/formats/satchel-file';
import { activePlan } from '$lib/core/model/active-plan';
import { furtherLampRoles } from '$lib/core/model/word-lists';
import type { Project } from '$lib/core/model/project';
import { median } from './measure';

const LAMPS = 10;
const DRAGS = 5;
const STEPS = 60;

/** The demo's lesson from two angles and lit by ten lamps. */
function manyLamps(): Project {
  const project = demoProject();
  project.id = 'many-lamps';
  project.name = 'Many lamps';
  const lesson = project.scenes[1]!;
  lesson.angles.push({ ...lesson.angles[0]!, id: 'b', name: 'from the side' });
  const plan = activePlan(project);
  const lamp = catalogue.ofKind('lamp').find(({ illuminanceAt1mLx }) => illuminanceAt1mLx)!;
  plan.lines.push({ ...plan.lines[1]!, id: 'lamps', gearId: lamp.id, quantity: LAMPS - 1 });
  plan.rigs.push({
    sceneId: lesson.id,
    angleId: lesson.angles[0]!.id,
    lamps: Array.from({ length: LAMPS - 2 }, (_, index) => ({
      lineId: 'lamps',
      role: furtherLampRoles[index % furtherLampRoles.length]!,
      distanceM: 0.8 + 0.1 * index,
      angleDeg: 30 + 15 * index,
      side: index % 2 === 0 ? ('left' as const) : ('right' as const)
    }))
  });
  return project;
}

/** Milliseconds of the page's main thread for each step of a drag, on the demo and on ten lamps and two angles. */
export async function measureSet(address: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
  });
  for (const [name, project] of [
    ['the demo', demoProject()],
    [`${LAMPS} lamps, two angles`, manyLamps()]
  ] as const) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(address);
    await page.getByRole('button', { name: 'File', exact: true }).click();
    await page.getByLabel('Satchel file').setInputFiles({
      name: 'set.satchel.json',
      mimeType: 'application/json',
      buffer: Buffer.from(writeSatchel(makeSatchel(project, catalogue)))
    });
    await page.waitForURL('**/satchel');
    await page.goto(`${address}/set`);
    await page.getByRole('button', { name: 'Loom lesson', exact: true }).click();
    const above = page.getByRole('region', { name: 'From above' });
    const session = await page.context().newCDPSession(page);
    await session.send('Performance.enable');
    const taskSeconds = async () =>
      (await session.send('Performance.getMetrics')).metrics.find(
        ({ name: metric }) => metric === 'TaskDuration'
      )!.value;
    /** Milliseconds of the main thread a step of the pointer takes, with a button pressed or not. */
    const stepsFrom = async (x: number, y: number): Promise<number> => {
      const before = await taskSeconds();
      for (let step = 1; step <= STEPS; step++) {
        const off = 24 * Math.sin((Math.PI * step) / STEPS);
        await page.mouse.move(x - off, y + off / 2);
        await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
      }
      return ((await taskSeconds()) - before) * (1000 / STEPS);
    };
    for (const part of [/, key$/, /^Camera$/]) {
      const perStep: number[] = [];
      for (let drag = 0; drag < DRAGS; drag++) {
        const body = above.getByRole('slider', { name: part }).locator('.body').first();
        const box = (await body.boundingBox())!;
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        await page.mouse.move(x, y);
        // What a pointer that only passes costs, the asking included, is not the drag's.
        const passing = await stepsFrom(x, y);
        await page.mouse.move(x, y);
        await page.mouse.down();
        await page.waitForTimeout(100);
        perStep.push((await stepsFrom(x, y)) - passing);
        await page.mouse.up();
        await page.waitForTimeout(400);
      }
      const what = `page: a step of a drag on the set, ${part.source.replace(/\W/g, '').toLowerCase()}, ${name}`;
      console.log(`${what.padEnd(62)}${median(perStep).toFixed(1).padStart(6)} ms  ≤ 16 ms`);
    }
    await page.close();
  }
  await browser.close();
}
