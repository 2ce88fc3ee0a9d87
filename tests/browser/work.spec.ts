import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** The room that the work has, and whether the page scrolls. */
const room = (page: Page) =>
  page.evaluate(() => ({
    work: document.querySelector('[data-testid=work]')!.clientHeight,
    scrolls: document.documentElement.scrollHeight - window.innerHeight,
  }));

const VIEWS = [
  'hands',
  'model',
  'model?part=logic',
  'model?part=states',
  'air',
  'wire',
  'board',
  'board?part=measure',
  'craft',
  'return',
  'return?part=battery',
  'proof',
  'work',
];

test('at 1280x800 every main view leaves 560 px to the work, and path and bench fold to a line each', async ({
  browser,
  app,
}) => {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  for (const view of VIEWS) {
    await page.goto(`${app.address}/craft/gannet/${view}`);
    await expect(page.getByTestId('at-model')).toContainText('µs');
    await expect(page.getByTestId('board-title')).not.toHaveText('…');
    const { work, scrolls } = await room(page);
    expect(work, view).toBeGreaterThanOrEqual(560);
    expect(scrolls, view).toBeLessThanOrEqual(0);
  }
  // The path gives way by a key, and the bench still flicks every switch; both are remembered.
  await page.keyboard.press('Alt+p');
  await expect.poll(async () => (await room(page)).work).toBeGreaterThanOrEqual(640);
  await expect(page.getByTestId('at-model')).toContainText('µs');
  const flick = page.getByRole('button', { name: /^Left front, inner: safe/ });
  await flick.click();
  await expect(page.getByRole('button', { name: /^Left front, inner: mid/ })).toBeVisible();
  await page.keyboard.press('Alt+b');
  await expect(page.getByTestId('left-stick')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('left-stick')).toBeVisible();
  await expect(page.getByRole('button', { name: 'The path in full' })).toHaveAttribute('aria-expanded', 'false');
  await page.context().close();
});

test('at 1280x800 twelve channels of a craft are in sight', async ({ browser, app }) => {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${app.address}/craft/sandpiper/model`);
  await expect(page.getByRole('row', { name: /^1 Throttle/ })).toContainText('−100 %');
  const seen = () =>
    page.locator('#work').evaluate((work) => {
      const end = work.getBoundingClientRect().bottom + 1;
      return Array.from(work.querySelectorAll('tbody tr')).filter((r) => r.getBoundingClientRect().bottom <= end)
        .length;
    });
  await expect.poll(seen).toBeGreaterThanOrEqual(12);
  await page.context().close();
});

test('the path gives way when the work is scrolled, and comes back at its top', async ({ craft }) => {
  const page = await craft('sandpiper', 'board');
  const full = page.getByRole('button', { name: 'The path in full' });
  await page.getByTestId('work').evaluate((work) => work.scrollTo({ top: 400 }));
  await expect(full).toHaveAttribute('aria-expanded', 'false');
  await page.getByTestId('work').evaluate((work) => work.scrollTo({ top: 0 }));
  await expect(full).toHaveAttribute('aria-expanded', 'true');
  // Nothing moves between press and release; a release that the page is not told of, as of a list that the system draws, is noticed.
  await page.getByTestId('work').evaluate(async (work) => {
    work.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, buttons: 1 }));
    work.scrollTo({ top: 400 });
    await new Promise((done) => setTimeout(done, 300));
  });
  await expect(full).toHaveAttribute('aria-expanded', 'true');
  await page.mouse.move(410, 310);
  await expect(full).toHaveAttribute('aria-expanded', 'false');
  await page.getByTestId('work').evaluate((work) => work.scrollTo({ top: 0 }));
  await expect(full).toHaveAttribute('aria-expanded', 'true');
  // A station begins at its top, with the focus.
  await page.getByTestId('work').evaluate((work) => work.scrollTo({ top: 400 }));
  await page.getByRole('link', { name: /^Model/ }).click();
  await expect(page.getByRole('region', { name: 'Model' })).toBeFocused();
  expect(await page.getByTestId('work').evaluate((work) => work.scrollTop)).toBe(0);
});

test.describe('alone', () => {
  test.use({ alone: true });

  test('a craft of one’s own is named, ticked, compared, gone back to, put away and brought back', async ({
    page,
    app,
  }) => {
    await page.goto(app.address);
    await page.getByRole('button', { name: 'New craft as a copy of Wren' }).click();
    await page.getByLabel('Name of the craft').fill('Tern');
    await page.getByRole('button', { name: 'Start it' }).click();
    await expect(page).toHaveURL(/\/craft\/tern\/work$/);
    // The next step is in sight, and one key leads to it.
    await expect(page.getByRole('link', { name: /Next: Look up what the transmitter can do/ })).toBeVisible();
    await page.keyboard.press('Alt+n');
    await expect(page).toHaveURL(/\/craft\/tern\/hands$/);
    await page.getByRole('link', { name: /^What remains/ }).click();
    const step = (name: string) => page.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) });
    const transmitter = step('Look up what the transmitter can do');
    const ticks = transmitter.getByRole('button', { name: /^So it is/ });
    await expect(ticks).toHaveCount(3);
    for (const tick of await ticks.all()) await tick.click();
    await expect(transmitter).toContainText('All 3 ticked.');
    await expect(page.getByRole('link', { name: /Next: Store the power-on check/ })).toBeVisible();

    // A change of what was ticked makes it stale.
    await page.getByRole('link', { name: /^Hands/ }).click();
    await page.getByRole('button', { name: 'Transmitter', exact: true }).click();
    await page.getByLabel('Ends up to').fill('125');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: /^What remains/ }).click();
    await expect(transmitter).toContainText('Another since: what is written down of the transmitter.');
    await transmitter
      .getByRole('button', { name: /^Not so/ })
      .nth(1)
      .click();
    await page.getByLabel('What was seen instead').fill('It says 120.');
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(transmitter).toContainText('1 of 3 did not come out as they should.');

    // Names where they are shown.
    await page.getByRole('button', { name: /^Tern/ }).click();
    await page.getByLabel('Cells in series').fill('6');
    await page.keyboard.press('Enter');
    await page.getByLabel('Craft', { exact: true }).fill('Arctic Tern');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: /^Arctic Tern/ })).toBeFocused();

    // What differs is told in words, and the way back is a new revision.
    await page.getByRole('button', { name: /Show the history/ }).click();
    const history = page.getByRole('dialog', { name: 'History' });
    await history.getByLabel('Name of revision 1').fill('as flown');
    await page.keyboard.press('Enter');
    await history.getByRole('combobox').first().selectOption('1');
    await expect(history.getByRole('row')).toContainText([
      /What/,
      /Craft, cells.*4.*6/,
      /Craft, name/,
      /travel limit.*150 %.*125 %/,
    ]);
    await history.getByRole('button', { name: 'Go back to revision 1' }).click();
    await expect(history.getByRole('listitem').filter({ hasText: 'Back to revision 1' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: /^Tern/ })).toBeVisible();

    await page.getByRole('link', { name: 'Zephyros, to the hangar' }).click();
    await page.getByRole('button', { name: 'Put Tern away' }).click();
    await expect(page.getByRole('link', { name: 'Tern', exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Bring Tern back' }).click();
    await expect(page.getByRole('link', { name: 'Tern', exact: true })).toBeVisible();
  });

  test('four channels that nothing listens to are one entry, put right at once', async ({ page, app }) => {
    await page.goto(`${app.address}/craft/gannet/model`);
    const verdict = page.getByRole('complementary', { name: 'Verdict' });
    const entry = verdict.getByRole('article').filter({ hasText: '4 channels that nothing on the board listens to' });
    await entry.getByText('Each of them').click();
    await expect(entry.getByRole('article')).toHaveCount(4);
    await entry.getByRole('button', { name: 'Remove all 4 channels' }).click();
    await expect(entry).toHaveCount(0);
    await expect(verdict.getByText('Last change: Remove all 4 channels')).toBeVisible();
  });
});

test('whoever goes through a list with the arrow keys makes one revision', async ({ craft }) => {
  const page = await craft('wren', 'board');
  await page.getByRole('button', { name: 'Change: Names' }).click();
  const procedure = page.getByLabel('It names spans');
  await procedure.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(procedure).toHaveValue('channel-from-zero');
  await expect(page.getByRole('button', { name: /^Saved, revision 2/ })).toBeVisible();
});
