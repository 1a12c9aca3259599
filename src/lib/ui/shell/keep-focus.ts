const focusable =
  'button:not([disabled]), a[href], input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex="0"]';

/**
 * Keeps the keyboard where it was when an act removes what it stood on. In a list the next item takes its place, or the
 * last one where there is none after it; where the whole list went, the container itself. Without this the browser sends
 * the focus to the top of the page.
 *
 * @param itemSelector what counts as an item of the list
 */
export function keepFocus(container: HTMLElement, itemSelector = 'li') {
  let held: { element: HTMLElement; item: HTMLElement | undefined; place: number } | undefined;

  /** Items that have something to stand on; a line of plain text is none. */
  const items = () =>
    [...container.querySelectorAll<HTMLElement>(itemSelector)].filter(
      (item) => item.matches(focusable) || item.querySelector(focusable)
    );

  function onfocusin({ target }: FocusEvent) {
    const element = target as HTMLElement;
    const item = element.closest<HTMLElement>(itemSelector) ?? undefined;
    held = { element, item, place: item ? items().indexOf(item) : -1 };
  }

  function onfocusout() {
    // Some browsers tell of a removal as of a step elsewhere: only what still stands was left on purpose.
    const left = held;
    queueMicrotask(() => {
      if (held === left && left?.element.isConnected) held = undefined;
    });
  }

  function moveOn() {
    const { activeElement } = document;
    if (!held || held.element.isConnected) return;
    if (activeElement !== null && activeElement !== document.body) return;
    const { item, place } = held;
    held = undefined;
    // The row may stand on with other buttons in it, as an opened finding does.
    const list = items();
    const next = item?.isConnected
      ? item
      : place < 0
        ? undefined
        : list[Math.min(place, list.length - 1)];
    const target = next?.matches(focusable) ? next : next?.querySelector<HTMLElement>(focusable);
    if (target) target.focus();
    else {
      if (!container.hasAttribute('tabindex')) container.tabIndex = -1;
      container.focus();
    }
  }

  const observer = new MutationObserver(moveOn);
  observer.observe(container, { childList: true, subtree: true });
  container.addEventListener('focusin', onfocusin);
  container.addEventListener('focusout', onfocusout);
  return {
    destroy() {
      observer.disconnect();
      container.removeEventListener('focusin', onfocusin);
      container.removeEventListener('focusout', onfocusout);
    }
  };
}
