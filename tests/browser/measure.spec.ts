import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** A transmitter that the browser takes for a USB joystick; what it does is set from the test. */
const plugIn = (page: Page) =>
  page.addInitScript(() => {
    const pad = { id: 'Made-up sticks', connected: true, axes: [0, -1, 0, 0], buttons: [] };
    Object.assign(window, { pad });
    navigator.getGamepads = () => [pad as unknown as Gamepad];
  });

const put = (page: Page, axes: number[]) =>
  page.evaluate((to) => {
    (window as unknown as { pad: { axes: number[] } }).pad.axes = to;
  }, axes);

/** Teaches a control: to its one end, to the other, and let go. */
async function teach(page: Page, name: string, axis: number, rest: number[], ends: [number, number]) {
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

test('sticks are taught, wiggled and swept with both hands on the transmitter, and the order put right', async ({
  craft,
}) => {
  const page = await craft('sandpiper', 'board?part=measure');
  await plugIn(page);
  await page.reload();
  await page.getByRole('button', { name: 'Real sticks' }).press('Enter');
  await expect(page.getByText('Connected: Made-up sticks')).toBeVisible();
  const rest = [0, -1, 0, 0];
  await teach(page, 'Throttle', 1, rest, [1, -1]);
  await teach(page, 'Roll', 0, rest, [1, -1]);
  await teach(page, 'Pitch', 2, rest, [-1, 1]);
  await teach(page, 'Yaw', 3, rest, [1, -1]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Real sticks drive 4' })).toBeVisible();

  // The routine goes on by itself; nothing but the sticks is touched from here on.
  await page.getByRole('button', { name: 'Measure the sticks, guided' }).press('Enter');
  const routine = page.getByRole('group', { name: 'Guided routine' });
  const moves: [string, number[], number[]][] = [
    ['throttle', [0, 1, 0, 0], [0, -1, 0, 0]],
    ['roll', [1, -1, 0, 0], [-1, -1, 0, 0]],
    ['pitch', [0, -1, -1, 0], [0, -1, 1, 0]],
    ['yaw', [0, -1, 0, 1], [0, -1, 0, -1]],
  ];
  for (const [stick, one, other] of moves) {
    await expect(routine).toContainText(`Move ${stick} fully`);
    await put(page, one);
    await expect(routine).toContainText(`Now ${stick} to its other end`);
    await put(page, other);
    await expect(routine).toContainText(stick === 'throttle' ? 'Leave throttle' : `Let ${stick} go`);
    await put(page, rest);
  }
  await expect(page.getByText('Everything is known.')).toBeVisible();
  await expect(page.getByText('throttle arrives as roll; ')).toBeVisible();
  await expect(page.getByRole('listitem', { name: 'yaw' }).last().getByLabel('Highest')).toHaveValue('2012');
  await page.getByRole('button', { name: 'Board reads T A E R' }).first().press('Enter');
  await expect(page.getByText('Nothing wrong', { exact: true })).toBeVisible();
});

test('what the board shows is typed in, and the ends are put right in one place', async ({ craft }) => {
  const page = await craft('gannet', 'board?part=measure');
  await page.getByRole('button', { name: 'Read all from the simulated board' }).click();
  await expect(page.getByText('Everything is known.')).toBeVisible();
  const pitch = page.getByRole('listitem', { name: 'pitch' }).last();
  await pitch.getByLabel('Lowest').fill('1100');
  await pitch.getByLabel('Highest').fill('1890');
  await page.getByRole('button', { name: 'Work it out' }).click();
  const board = page.getByRole('listitem', { name: 'At the board', exact: true });
  await expect(board).toContainText('pitch: span 1100 to 1890 µs');
  await page.getByRole('button', { name: 'Record this measurement' }).click();
  await expect(page.getByText('stands', { exact: true })).toBeVisible();
  await board.getByRole('button', { name: 'Spans at the board' }).click();
  await expect(page.getByText("stale: changed since is the board's spans")).toBeVisible();
  await page.getByRole('tab', { name: 'Settings' }).click();
  await expect(page.getByText('pitch 1100 to 1890 µs')).toBeVisible();
  await page.getByRole('tab', { name: 'Measure' }).click();
  await page.getByRole('button', { name: 'Read all from the simulated board' }).click();
  // What cannot be measured is refused by name.
  await pitch.getByLabel('Lowest').fill('1700');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('alert')).toContainText('pitch');
});
