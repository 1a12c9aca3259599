import { describe, expect, it } from 'vitest';
import { catalogue } from '../../catalogue/load-catalogue';
import { applyAct } from '../acts/apply-act';
import { newLine } from '../model/new-line';
import { judgePlan } from '../judge/judge-plan';
import { compareKits } from '../merit/kit-merit';
import { activePlan } from '../model/active-plan';
import { packFirstKit } from './first-kit';
import { answered, walkGrid } from './tests/walk-grid';

describe('a first kit, bought used', () => {
  walkGrid(true);

  it('is no worse than a used phone with a furry windscreen, chosen by hand', () => {
    const start = answered(['walk'], 450, 'light on the back', false, true);
    const byHand = ['ellowen-slip-4', 'ellowen-slip-6']
      .flatMap((phone) =>
        catalogue.ofKind('windscreen').map((windscreen) =>
          [catalogue.byId.get(phone)!, windscreen].reduce(
            (project, gear) =>
              applyAct(project, {
                type: 'add line',
                line: newLine(activePlan(project), gear, 1, 'used')
              }),
            start
          )
        )
      )
      .map((project) => judgePlan(project, activePlan(project), catalogue).merit)
      .sort((a, b) => compareKits(b, a))[0]!;
    const packed = packFirstKit(start, catalogue);
    const { merit } = judgePlan(packed, activePlan(packed), catalogue);
    expect(compareKits(merit, byHand)).toBeGreaterThanOrEqual(0);
  });
});
