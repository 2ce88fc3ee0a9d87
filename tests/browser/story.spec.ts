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
  await expect(page.getByTestId('at-air')).toHaveText('1320count');
  await expect(page.getByTestId('at-wire')).toHaveText('1705µs');
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
  await expect(verdict).toHaveText('Nothing wrong so far, the proof goes on');
  await page.getByRole('button', { name: 'Undo it' }).click();
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

  // Closing and opening shows everything saved; the setup can be taken away and brought back.
  const again = await craft('sandpiper');
  await expect(again.locator('[data-verdict]')).toHaveText('Nothing wrong', { timeout: 60_000 });
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
  await page.getByLabel('Name').fill('Tern');
  await page.getByLabel('Transmitter to start from').selectOption({ label: 'Blank, 6 switches' });
  await page.getByRole('button', { name: 'Start with an empty memory' }).click();
  await expect(page).toHaveURL(/\/craft\/tern\/hands$/);
  const board = page.getByRole('status', { name: 'The board says' });
  await expect(board).toContainText('The board has no arm function.');
  const finding = page.getByRole('article').filter({ hasText: 'Nothing arms this craft yet' });
  await finding.getByRole('button', { name: 'Left shoulder arms on AUX 1' }).click();
  await expect(finding).toBeHidden();
  await expect(page.getByText('The board reads it for Arm.')).toBeVisible();
  await page.getByRole('button', { name: 'Put Left shoulder at far' }).click();
  await expect(board).toContainText('Armed');
});

test('a craft with which no rule finds a fault is not called right before the proof has ended, nor when it breaks a promise', async ({
  page,
  app,
}) => {
  // Its order of channels put right, and a limit that its board does not keep.
  const operations = [
    { op: 'replace', path: '/board/map', value: 'TAER' },
    { op: 'replace', path: '/limits/lossNoticedWithin', value: 100 },
  ];
  const saved = await fetch(`${app.address}/api/setups/sandpiper/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'if-match': '"1"' },
    body: JSON.stringify({ title: 'Ready', operations }),
  });
  expect(saved.status).toBe(200);
  await page.goto(app.address);
  await expect(page.getByRole('listitem').filter({ hasText: 'Sandpiper' })).toContainText('No rule finds a fault');
  await page.getByRole('link', { name: 'Sandpiper', exact: true }).click();
  const verdict = page.locator('[data-verdict]');
  await expect(verdict).toHaveText(/^Nothing wrong so far/);
  await expect(verdict).toHaveText('Wrong now · 1', { timeout: 60_000 });
  const broken = page.getByRole('article').filter({ hasText: 'Not kept:' });
  await expect(broken).toHaveCount(1);
  await broken.getByRole('link').click();
  await expect(page).toHaveURL(/\/proof#/);
  await expect(page.locator('details[data-testid^="promise-"][open]')).toHaveCount(1);
});
