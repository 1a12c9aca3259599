import { type Card, createEmptyCard, fsrs, type Grade, Rating } from 'ts-fsrs';
import { type Attempt, type Level, type Skill, skills } from './attempt';

/** Where one stands in a skill. */
export interface SkillState {
  skill: Skill;
  attempts: readonly Attempt[];
  /** When it is due again, milliseconds since 1970; now where it was never tried. */
  dueAt: number;
  /** Of the next drill. */
  level: Level;
}

/** From these scores on an attempt counts as easy, good, hard; below the last it is to be done again. */
const GRADES = { easy: 92, good: 75, hard: 50 } as const;
/** So many good ones in a row at a level lead to the next; one failed leads back. */
const ROW_FOR_NEXT_LEVEL = 2;

export function gradeOf(score: number): Grade {
  return score >= GRADES.easy
    ? Rating.Easy
    : score >= GRADES.good
      ? Rating.Good
      : score >= GRADES.hard
        ? Rating.Hard
        : Rating.Again;
}

// Without chance in it the same attempts are due on the same day in every tab.
const scheduler = fsrs({ enable_fuzz: false });

/**
 * Where one stands in every skill, from all attempts in order: weak skills come back sooner, by the spaced repetition
 * of ts-fsrs.
 *
 * @param now milliseconds since 1970
 */
export function skillStates(attempts: readonly Attempt[], now: number): SkillState[] {
  return skills.map((skill): SkillState => {
    const own = attempts.filter((attempt) => attempt.skill === skill).sort((a, b) => a.at - b.at);
    let card: Card | undefined;
    let level: Level = 1;
    let row = 0;
    for (const { at, score } of own) {
      const when = new Date(at);
      card = scheduler.next(card ?? createEmptyCard(when), when, gradeOf(score)).card;
      row = score >= GRADES.good ? row + 1 : 0;
      if (row >= ROW_FOR_NEXT_LEVEL && level < 3) {
        level = (level + 1) as Level;
        row = 0;
      } else if (score < GRADES.hard && level > 1) level = (level - 1) as Level;
    }
    return { skill, attempts: own, dueAt: card ? card.due.getTime() : now, level };
  });
}

/** The skill to practise next of those a scene can show: what is due longest, then what is weakest. */
export function nextSkill(
  states: readonly SkillState[],
  possible: ReadonlySet<Skill>
): SkillState | undefined {
  const weakness = ({ attempts }: SkillState) => attempts.at(-1)?.score ?? -1;
  return states
    .filter(({ skill }) => possible.has(skill))
    .sort((a, b) => a.dueAt - b.dueAt || weakness(a) - weakness(b))[0];
}
