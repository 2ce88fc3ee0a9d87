import type { Page } from '@playwright/test';
import { expect } from './fixtures';

/** A transmitter that the browser takes for a USB joystick; what it does is set from the test. */
export const plugIn = (page: Page) =>
  page.addInitScript(() => {
    const pad = { id: 'Made-up sticks', connected: true, axes: [0, -1, 0, 0], buttons: [] };
    Object.assign(window, { pad });
    navigator.getGamepads = () => [pad as unknown as Gamepad];
  });

export const put = (page: Page, axes: number[]) =>
  page.evaluate((to) => {
    (window as unknown as { pad: { axes: number[] } }).pad.axes = to;
  }, axes);

/** Teaches a control: to its one end, to the other, and let go. */
export async function teach(page: Page, name: string, axis: number, rest: number[], ends: [number, number]) {
  const at = (value: number) => rest.map((v, i) => (i === axis ? value : v));
  const row = page.getByRole('listitem', { name, exact: true });
  await row.getByRole('button', { name: 'Teach' }).press('Enter');
  await put(page, at(ends[0]));
  await expect(row).toContainText('to the other end');
  await put(page, at(ends[1]));
  await expect(row).toContainText('Now let it go');
  await put(page, rest);
  await expect(row).toContainText(`axis ${axis + 1}`);
}
