import { expect, test } from './fixtures';
import { request } from 'node:http';
import { startApp } from '../../tools/app.mjs';

const ROUNDS = Number(process.env.KILL_ROUNDS ?? (process.env.DEEP === '1' ? 100 : 1));

test('an acknowledged save survives a kill at once', async () => {
  test.setTimeout(60_000 + ROUNDS * 10_000);
  let app = await startApp();
  for (let round = 0; round < ROUNDS; round++) {
    const title = `Kill ${round}`;
    const at = `${app.address}/api/setups/wren`;
    const revision = (await fetch(at)).headers.get('etag')!;
    const saved = await fetch(`${at}/edits`, {
      method: 'POST',
      headers: { 'If-Match': revision, 'Content-Type': 'application/json' },
      body: JSON.stringify({
        title,
        operations: [{ op: 'replace', path: '/board/throttleLow', value: 1000 + (round % 400) }],
      }),
    });
    expect(saved.status).toBe(200);
    await app.stop('SIGKILL');
    app = await startApp({ data: app.folder, demo: round % 2 === 0 });
    const found = (await (await fetch(`${app.address}/api/setups/wren`)).json()) as {
      undoTitle: string;
      setup: { board: { throttleLow: number } };
    };
    expect(found.undoTitle).toBe(title);
    expect(found.setup.board.throttleLow).toBe(1000 + (round % 400));
  }
  expect(((await (await fetch(`${app.address}/api/setups`)).json()) as unknown[]).length).toBe(3);
  await app.stop();
});

test('a server that is ended in the middle of an import has the craft whole or not at all', async () => {
  test.setTimeout(60_000 + ROUNDS * 10_000);
  let app = await startApp();
  const document = await (await fetch(`${app.address}/api/setups/wren/export`)).text();
  let whole = 3;
  for (let round = 0; round < Math.max(2, ROUNDS); round++) {
    const size = Buffer.byteLength(document);
    const sending = request(`${app.address}/api/setups`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'Content-Length': size },
    });
    const acknowledged: unknown[] = [];
    sending.on('response', (answer) => acknowledged.push(answer)).on('error', () => {});
    // The first time half of it gets there; then all of it, and the end comes a little later each time.
    sending.write(round === 0 ? document.slice(0, size / 2) : document);
    await new Promise((resolve) => setTimeout(resolve, round * 4));
    await app.stop('SIGKILL');
    sending.destroy();
    app = await startApp({ data: app.folder });
    expect(await (await fetch(`${app.address}/api/unreadable`)).json()).toEqual([]);
    const found = (await (await fetch(`${app.address}/api/setups`)).json()) as { id: string; revision: number }[];
    expect(found.length).toBeGreaterThanOrEqual(whole + acknowledged.length);
    expect(found.length).toBeLessThanOrEqual(round === 0 ? whole : whole + 1);
    expect(found.every((craft) => craft.revision === 1)).toBe(true);
    whole = found.length;
    // Many craft make a start slow, and say nothing more.
    if (whole > 12) {
      await app.stop();
      app = await startApp();
      whole = 3;
    }
  }
  await app.stop();
});

test('a lost server is shown, nothing is queued, and the page recovers by itself', async ({ page }) => {
  const first = await startApp();
  await page.goto(`${first.address}/craft/wren/board`);
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  const watches = page.getByLabel('Arm watches');
  const before = await watches.inputValue();
  await first.stop('SIGKILL');
  await expect(page.getByText('The server is away since')).toBeVisible();
  // A choice that is not saved stays chosen, with the reason, until it is taken back.
  await watches.selectOption({ label: 'AUX 20 = channel 24' });
  await expect(watches).toHaveAccessibleDescription(/Not saved/);
  await expect(watches).toHaveAttribute('aria-invalid', 'true');
  await expect(watches).toHaveValue('20');
  await watches.press('Escape');
  await expect(watches).toHaveValue(before);
  await expect(watches).toHaveAttribute('aria-invalid', 'false');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect(page.getByRole('button', { name: 'Left shoulder far' })).toBeDisabled();

  const second = await startApp({ data: first.folder, port: Number(new URL(first.address).port) });
  await expect(page.getByText('The server is away')).toHaveCount(0);
  // The movement made while the server was away must not have arrived.
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.getByRole('button', { name: 'Left shoulder far' }).click();
  await expect(page.getByTestId('board-title')).toHaveText('Armed');
  await second.stop();
});

test('on every page nothing blanks while the server is away, and everything comes back by itself', async ({ page }) => {
  let app = await startApp();
  const restart = { data: app.folder, port: Number(new URL(app.address).port) };
  const away = page.getByText('The server is away since');
  const stations = ['Hands', 'Model', 'Air', 'Wire', 'Board', 'Craft'];
  await page.goto(`${app.address}/craft/wren/hands`);
  const work = page.getByTestId('work');
  const open = async (name: string) => {
    await page
      .getByRole('link', { name: new RegExp(`^${name}`) })
      .first()
      .click();
    await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
  };
  for (const name of [...stations, 'Proof']) {
    await open(name);
    await expect(work).toContainText(/\w{3}/);
    const before = (await work.innerText()).length;
    await app.stop('SIGKILL');
    await expect(away).toBeVisible();
    expect((await work.innerText()).length).toBeGreaterThan(before / 2);
    app = await startApp(restart);
    await expect(away).toBeHidden();
    await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
    await expect(page.getByRole('alert')).toHaveCount(0);
  }
  // Opened first while the server is away: stations whose scripts may not have come yet, a page that needs an answer, the hangar.
  await page.reload();
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await app.stop('SIGKILL');
  await expect(away).toBeVisible();
  for (const name of stations) {
    await page
      .getByRole('link', { name: new RegExp(`^${name}`) })
      .first()
      .click();
    await expect(page).toHaveURL(new RegExp(name.toLowerCase()));
    await expect(page.getByRole('alert')).toHaveCount(0);
  }
  // Nothing that is changed now is done later.
  await page.getByTitle('Names of the craft').click();
  await page.getByRole('textbox', { name: 'Craft' }).fill('Lost');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Not saved').first()).toBeVisible();
  // Once for what was refused, once for what it was typed in.
  for (let i = 0; i < 2; i++) await page.keyboard.press('Escape');
  app = await startApp(restart);
  await expect(away).toBeHidden();
  for (const name of stations) {
    await open(name);
    await expect(work).toContainText(/\w{3}/);
  }
  expect(((await (await fetch(`${app.address}/api/setups/wren`)).json()) as { revision: number }).revision).toBe(1);
  await page
    .getByRole('link', { name: /Hangar|Zephyros/ })
    .first()
    .click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Wren' }).first()).toBeVisible();
  await app.stop('SIGKILL');
  await expect(away).toBeVisible();
  await page.getByRole('link', { name: 'Gannet', exact: true }).click();
  await expect(page.getByText('Opening the craft…')).toBeVisible();
  app = await startApp(restart);
  await expect(page.getByTestId('board-title')).toHaveText('Will not arm');
  await app.stop();
});

test('a data file that cannot be used stops the start with a clear word', async () => {
  const app = await startApp();
  await app.stop();
  const { writeFile } = await import('node:fs/promises');
  await writeFile(`${app.folder}/zephyros.db`, 'x'.repeat(5000));
  await expect(startApp({ data: app.folder })).rejects.toThrow(
    /ended with 1: Zephyros does not start.*damaged or no data file/,
  );
});
