import type { Locator } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { dragStick, expect, test } from './fixtures';

test.use({ alone: true });

test('a throttle that arrives as roll is followed, put right, undone, and the craft armed and disarmed', async ({
  craft,
  page,
  app,
}) => {
  await page.goto(app.address);
  await expect(page.getByRole('listitem').filter({ hasText: 'Kittiwake 8' })).toHaveCount(3);
  await page.getByRole('link', { name: 'Sandpiper', exact: true }).click();
  await expect(page.getByTestId('at-model')).toContainText('µs');

  // The virtual throttle is pushed in the bench; the path shows what becomes of it.
  await dragStick(page, 'left', 0, 40);
  await expect(page.getByTestId('at-hands')).toHaveText('+40%');
  await expect(page.getByTestId('at-model')).toHaveText('1704.8µs');
  await expect(page.getByTestId('at-air')).toHaveText('1704.8µs');
  await expect(page.getByTestId('at-wire')).toHaveText('1320count');
  await expect(page.getByTestId('at-board')).toHaveText('roll');
  await expect(page.getByTestId('at-craft')).toHaveText('205°/s right');

  // The finding says what the fault does in the air, and offers two fixes.
  const finding = page.getByRole('article').filter({ hasText: 'Throttle arrives as roll' });
  await expect(finding).toContainText('The transmitter sends T A E R, the board reads A E T R.');
  await expect(finding).toContainText('With the throttle down the craft would roll left at full rate');
  await expect(finding.getByRole('button')).toHaveText(['Send A E T R', 'Board reads T A E R']);

  await finding.getByRole('button', { name: 'Send A E T R' }).click();
  await expect(page.getByTestId('at-board')).toHaveText('throttle');
  // Not before the proof has ended.
  const verdict = page.locator('[data-verdict]');
  await expect(verdict).toHaveText('1 to check');
  await page.getByRole('button', { name: /^Undo: Send A E T R/ }).click();
  await expect(page.getByTestId('at-board')).toHaveText('roll');
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByTestId('at-board')).toHaveText('throttle');

  // The board arms only with the throttle low, says why not otherwise, and disarms at once.
  const board = page.getByRole('status', { name: 'The board says' });
  const far = page.getByRole('button', { name: 'Left shoulder far' });
  const safe = page.getByRole('button', { name: 'Left shoulder safe' });
  await far.click();
  await expect(board).toContainText('RefusedThrottle reads 1705 µs, must be below 1010 µs.');
  await dragStick(page, 'left', 0, -100);
  await expect(board).toContainText('It is low now: put the switch off, then on.');
  await safe.click();
  await expect(board).toContainText('Ready: Left shoulder arms.');
  await far.click();
  await expect(board).toContainText('Armed');
  await expect(page.getByText('“Armed”')).toBeVisible();
  await dragStick(page, 'left', 0, 70);
  await expect(board).toContainText('throttle 86 %');
  await safe.click();
  await expect(page.getByTestId('board-title')).toHaveText('Will not arm');
  await expect(page.getByText('“Disarmed”')).toBeVisible();

  // She would still be called home too late: the one thing that is left.
  await page
    .getByRole('article')
    .filter({ hasText: 'calls the craft home too late' })
    .getByRole('button', { name: '“Far out” above 800 m' })
    .click();

  // Closing and opening shows everything saved; the setup can be taken away and brought back.
  const again = await craft('sandpiper');
  await expect(again.locator('[data-verdict]')).toHaveText('Nothing wrong', { timeout: 240_000 });
  const [download] = await Promise.all([
    again.waitForEvent('download'),
    again.getByRole('link', { name: 'Download this setup as JSON' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('sandpiper.zephyros.json');
  const file = await download.path();
  await again.getByRole('link', { name: /Zephyros/ }).click();
  await again.getByLabel('Setup file').setInputFiles(file);
  await expect(again).toHaveURL(/sandpiper-2\/model$/);
  const stored = await (await fetch(`${app.address}/api/setups/sandpiper-2/export`)).text();
  expect(stored).toBe(await readFile(file, 'utf8'));
});

test('a file that is no setup is refused with the place', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByLabel('Setup file').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"zephyros-setup",\n"version":1,\n"craft":}'),
  });
  await expect(page.getByRole('alert')).toContainText('Not JSON at line 3');
  await expect(page.getByRole('listitem').filter({ hasText: 'Kittiwake 8' })).toHaveCount(3);
});

test('a new craft starts with an empty memory, gets its arm switch from the finding, and is armed', async ({
  page,
  app,
}) => {
  await page.goto(app.address);
  await page.getByRole('button', { name: 'New craft', exact: true }).click();
  await page.getByLabel('Name of the craft').fill('Tern');
  await page.getByLabel('Starts as').selectOption({ label: 'Blank, 6 switches' });
  await page.getByRole('button', { name: 'Start it' }).click();
  await expect(page).toHaveURL(/\/craft\/tern\/work$/);
  await page.getByRole('link', { name: /^Hands/ }).click();
  const board = page.getByRole('status', { name: 'The board says' });
  await expect(board).toContainText('The board has no arm function.');
  const finding = page.getByRole('article').filter({ hasText: 'Nothing arms this craft yet' });
  await finding.getByRole('button', { name: 'Left shoulder arms on AUX 1' }).click();
  await expect(finding).toBeHidden();
  await expect(page.getByText('The board reads it for Arm.')).toBeVisible();
  // The verdict's panel may fold now, and what is clicked move away before it is released.
  await page.getByRole('button', { name: 'Put Left shoulder at far' }).press('Enter');
  await expect(board).toContainText('Armed');
});

test('from an empty folder to a craft whose only open steps are at the bench, in nine gestures', async ({ page }) => {
  const { startApp } = await import('../../tools/app.mjs');
  const app = await startApp({ demo: false });
  let gestures = 0;
  const press = async (button: Locator) => {
    gestures++;
    await button.click();
  };
  const choose = async (field: Locator, label: string) => {
    gestures++;
    await field.selectOption({ label });
  };
  const type = async (field: Locator, text: string) => {
    gestures++;
    await field.fill(text);
    await field.press('Enter');
  };
  await page.goto(app.address);
  await press(page.getByRole('button', { name: 'New craft', exact: true }));
  await choose(page.getByLabel('Starts as'), 'Blank, 6 switches');
  // Enter starts it.
  await type(page.getByLabel('Name of the craft'), 'Tern');
  await expect(page).toHaveURL(/\/craft\/tern\/work$/);
  await press(page.getByRole('button', { name: 'Left shoulder arms on AUX 1' }));
  const link = page.getByRole('listitem').filter({ hasText: 'Choose the radio link' });
  await press(link.getByRole('link', { name: 'Go there' }));
  await choose(page.getByLabel('Radio system'), 'Stepped packets');
  await press(page.getByRole('button', { name: 'Radio module' }));
  await type(page.getByRole('textbox', { name: 'Receiver' }), 'Small one');
  await press(page.getByRole('link', { name: /^What remains: / }));
  await expect(page.locator('[data-verdict]')).toHaveText('Nothing wrong', { timeout: 240_000 });
  // What can be computed is done, once the last edit is proven; everything else asks for the transmitter or the craft in the hand.
  const steps = async () => {
    const { work } = (await (await fetch(`${app.address}/api/setups/tern/work`)).json()) as {
      work: { steps: { id: string; state: string; shownBy: string }[] };
    };
    return work.steps;
  };
  const computed = async () => (await steps()).filter((s) => s.shownBy === 'computed').map((s) => s.state);
  await expect.poll(computed, { timeout: 240_000 }).toEqual(['done', 'done', 'done', 'done']);
  const open = (await steps()).filter((s) => s.state !== 'done' && s.state !== 'not-needed');
  expect(open.map((s) => s.state)).toEqual(open.map(() => 'to-do'));
  expect(open.map((s) => s.id)).toContain('bind');
  expect(gestures).toBe(9);
  await app.stop();
});

test('a craft with which no rule finds a fault is not called right before the proof has ended, nor when it breaks a promise', async ({
  page,
  app,
}) => {
  // Its order of channels put right, called home in time, and a limit that its board does not keep.
  const near = { kind: 'sensor', sensor: 'distance', relation: 'above', limit: 800 };
  const operations = [
    { op: 'replace', path: '/board/map', value: 'TAER' },
    { op: 'replace', path: '/model/conditions/far-out/test/of', value: [near] },
    { op: 'replace', path: '/limits/lossNoticedWithin', value: 100 },
  ];
  const saved = await fetch(`${app.address}/api/setups/sandpiper/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'if-match': '"1"' },
    body: JSON.stringify({ title: 'Ready', operations }),
  });
  expect(saved.status).toBe(200);
  await page.goto(app.address);
  const listed = page.getByRole('listitem').filter({ hasText: 'Sandpiper' }).locator('[data-verdict]');
  await expect(listed).toHaveText(/^(Nothing wrong so far|1 danger)/);
  await page.getByRole('link', { name: 'Sandpiper', exact: true }).click();
  const verdict = page.locator('[data-verdict]');
  await expect(page).toHaveURL(/\/craft\/sandpiper/);
  await expect(verdict).toHaveText('1 danger', { timeout: 240_000 });
  const broken = page.getByRole('article').filter({ hasText: 'Not kept:' });
  await expect(broken).toHaveCount(1);
  await broken.getByRole('link').click();
  await expect(page).toHaveURL(/\/proof#/);
  await expect(page.locator('details[data-testid^="promise-"][open]')).toHaveCount(1);
});
