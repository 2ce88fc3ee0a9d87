/** For a field that was asked for by a press: it has the focus as soon as it is there. */
export const focusOnce = (field: HTMLElement | null): void => field?.focus();
