import { describe, expect, it, vi } from 'vitest';
import { allowLineDrop, droppedLine, startLineDrag } from './line-drag';

/** As much of a drag as the browser hands over. */
function drag(data = new Map<string, string>()) {
  const preventDefault = vi.fn();
  const dataTransfer = {
    setData: (type: string, value: string) => data.set(type, value),
    getData: (type: string) => data.get(type) ?? '',
    get types() {
      return [...data.keys()];
    },
    effectAllowed: 'none',
    dropEffect: 'none'
  };
  return {
    event: { dataTransfer, preventDefault } as unknown as DragEvent,
    data,
    preventDefault,
    dataTransfer
  };
}

describe('a line dragged from place to place', () => {
  it('arrives where it is let go', () => {
    const { event, data, dataTransfer } = drag();
    startLineDrag(event, 'line-7');
    expect(dataTransfer.effectAllowed).toBe('move');
    const over = drag(data);
    expect(allowLineDrop(over.event)).toBe(true);
    expect(over.preventDefault).toHaveBeenCalled();
    const dropped = drag(data);
    expect(droppedLine(dropped.event)).toBe('line-7');
    expect(dropped.preventDefault).toHaveBeenCalled();
  });

  it('of another sort is not let in, and the browser does with it what it likes', () => {
    const text = drag(new Map([['text/plain', 'line-7']]));
    expect(allowLineDrop(text.event)).toBe(false);
    expect(droppedLine(text.event)).toBeUndefined();
    expect(text.preventDefault).not.toHaveBeenCalled();
  });
});
