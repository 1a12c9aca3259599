/**
 * Pieces of work that draw something, each in a task of its own with a frame before it: on a slow machine all of them at
 * once would hold up what somebody does meanwhile.
 */
const waiting = new Set<() => void>();
let isUnderWay = false;

/** A page nobody sees draws no frame. */
function afterFrame(work: () => void): void {
  if (document.hidden) setTimeout(work);
  else requestAnimationFrame(() => setTimeout(work));
}

function takeNext(): void {
  const [first] = waiting;
  isUnderWay = first !== undefined;
  if (!first) return;
  waiting.delete(first);
  afterFrame(takeNext);
  first();
}

/** Does a piece of work when those asked for before it are done. Answers with what calls it off. */
export function inTurn(work: () => void): () => void {
  waiting.add(work);
  if (!isUnderWay) {
    isUnderWay = true;
    afterFrame(takeNext);
  }
  return () => waiting.delete(work);
}
