const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary';

/** So long dialogs may take to give the focus back themselves, in milliseconds. */
const THEIRS = 60;

/** When what has the focus goes away, the focus goes to what follows it, or else to what stood before it; never to nowhere.
 *  @param root in what it is kept; what lies above, such as a dialog, gives it back by itself */
export function keepFocus(root: HTMLElement): void {
  let order: HTMLElement[] = [];
  let at = -1;
  let waits = false;
  root.addEventListener('focusin', ({ target }) => {
    order = Array.from(root.querySelectorAll<HTMLElement>(FOCUSABLE));
    at = order.indexOf(target as HTMLElement);
  });
  const look = () => {
    waits = false;
    if (document.activeElement !== document.body || at < 0 || order[at]?.isConnected) return;
    const there = (e: HTMLElement) => e.isConnected && e.matches(FOCUSABLE) && e.getClientRects().length > 0;
    (order.slice(at).find(there) ?? order.slice(0, at).reverse().find(there))?.focus();
  };
  new MutationObserver(() => {
    if (waits || document.activeElement !== document.body) return;
    waits = true;
    setTimeout(look, THEIRS);
  }).observe(document.body, { childList: true, subtree: true });
}
