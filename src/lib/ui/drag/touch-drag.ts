/** A finger that rests this long on a part takes hold of it; a shorter touch scrolls or opens. */
const HOLD_MS = 300;

/**
 * Lets a finger drag what a mouse can. Browsers begin a drag by touch in ways of their own or not at all; the package
 * sends the same drag events for a finger that holds, so that no place has to know of it.
 */
export async function allowTouchDrag(): Promise<void> {
  if (!window.matchMedia('(any-pointer: coarse)').matches) return;
  const [{ polyfill }, { scrollBehaviourDragImageTranslateOverride }] = await Promise.all([
    import('mobile-drag-drop'),
    import('mobile-drag-drop/scroll-behaviour')
  ]);
  polyfill({
    forceApply: true,
    holdToDrag: HOLD_MS,
    dragImageCenterOnTouch: true,
    dragImageTranslateOverride: scrollBehaviourDragImageTranslateOverride
  });
  // Without a listener that may stop it the browser scrolls on while a part is held.
  window.addEventListener('touchmove', () => undefined, { passive: false });
}
