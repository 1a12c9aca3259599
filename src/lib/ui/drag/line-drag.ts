/** How a chosen line is named while it is dragged from one place of the app to another. */
const LINE_TYPE = 'application/x-satchel-line';

export function startLineDrag(event: DragEvent, lineId: string): void {
  event.dataTransfer?.setData(LINE_TYPE, lineId);
  if (event.dataTransfer) event.dataTransfer.effectAllowed = 'move';
}

/** Lets a place take a line: call it when one comes over it and while it is there. */
export function allowLineDrop(event: DragEvent): boolean {
  if (!event.dataTransfer?.types.includes(LINE_TYPE)) return false;
  event.preventDefault();
  event.dataTransfer.dropEffect = 'move';
  return true;
}

export function droppedLine(event: DragEvent): string | undefined {
  const lineId = event.dataTransfer?.getData(LINE_TYPE);
  if (!lineId) return undefined;
  event.preventDefault();
  return lineId;
}
