import type { Locator, Page } from '@playwright/test';
import { expect, test } from './fixtures';

const PAGES = [
  'hands',
  'model?part=channels',
  'model?part=logic',
  'model?part=states',
  'air?part=link',
  'wire',
  'board?part=settings',
  'return?part=sensors',
  'proof',
  'work',
];

/** What opens something over the page, one of each kind: names and numbers aside they are the same. */
const openers = (page: Page): Promise<number[]> =>
  page.locator('button[aria-haspopup]:visible:enabled').evaluateAll((all) => {
    const seen = new Set<string>();
    return all.flatMap((button, i) => {
      const kind = `${button.getAttribute('class') ?? ''} ${button.getAttribute('aria-haspopup') ?? ''} ${button.closest('[aria-labelledby]')?.getAttribute('aria-labelledby') ?? ''}`;
      // What is removed without being asked about opens nothing.
      if (seen.has(kind) || button.getAttribute('aria-label')?.startsWith('Remove')) return [];
      seen.add(kind);
      return [i];
    });
  });

const OVER = '[role=dialog], [role=menu]';

const isIn = (where: Locator): Promise<boolean> => where.evaluate((e) => e.contains(document.activeElement));

test('whatever opens over a page takes the focus and gives it back to what opened it', async ({ craft }) => {
  const page = await craft('sandpiper', 'hands');
  let opened = 0;
  for (const path of PAGES) {
    await page.goto(new URL(path, page.url()).href);
    await expect(page.getByTestId('at-model')).toContainText('µs');
    await expect(page.getByTestId('work')).not.toContainText('Loading…');
    for (const i of await openers(page)) {
      const opener = page.locator('button[aria-haspopup]:visible:enabled').nth(i);
      const name = `${path}: ${(await opener.getAttribute('aria-label')) ?? (await opener.innerText())}`;
      await opener.press('Enter');
      const over = page.locator(OVER).last();
      await expect(over, name).toBeVisible();
      await expect.poll(() => isIn(over), name).toBe(true);
      await page.keyboard.press('Escape');
      await expect(page.locator(OVER), name).toHaveCount(0);
      await expect(opener, name).toBeFocused();
      opened++;
    }
  }
  expect(opened).toBeGreaterThan(20);
});

test('the keys and the palette give the focus back, and F6 goes round the regions', async ({ craft }) => {
  const page = await craft('wren', 'board');
  const change = page.getByRole('button', { name: 'Change: Arming' });
  for (const key of ['Control+k', 'Control+/']) {
    await change.focus();
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(change).toBeFocused();
  }
  await page.keyboard.press('F6');
  await expect.poll(() => isIn(page.getByRole('complementary', { name: 'Verdict' }))).toBe(true);
  await page.keyboard.press('F6');
  await expect(page.locator('#dock')).toBeFocused();
  for (let i = 0; i < 3; i++) await page.keyboard.press('F6');
  await expect(page.getByTestId('work')).toBeFocused();
  // The first thing on the page leads past all of that.
  await page.reload();
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('work')).toBeFocused();
});

test('after a removal or a fix the focus is at what follows, never nowhere', async ({ craft }) => {
  const page = await craft('sandpiper', 'model?part=logic');
  const gone = page.getByRole('button', { name: /^Remove “Level”/ });
  await gone.focus();
  await page.keyboard.press('Enter');
  const sure = page.getByRole('dialog').getByRole('button', { name: /^Remove/ });
  if (await sure.isVisible().catch(() => false)) await sure.press('Enter');
  await expect(gone).toHaveCount(0);
  const focused = () =>
    page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.tagName);
  await expect.poll(focused).toBe('Change: “Signal back”');
  await expect(page.getByText('Looking at the change')).toHaveCount(0);
  const fix = page.getByRole('article').filter({ hasText: 'Throttle arrives as roll' }).getByRole('button').first();
  await fix.press('Enter');
  await expect(page.getByText('Throttle arrives as roll')).toHaveCount(0);
  await expect.poll(focused).not.toBe('BODY');
});

test('a momentary button is held with Enter, and by one activation where there is no more', async ({ craft }) => {
  const page = await craft('wren', 'hands');
  const button = page.getByRole('button', { name: 'Right button', exact: true });
  await button.focus();
  await page.keyboard.down('Enter');
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.up('Enter');
  await expect(button).toHaveAttribute('aria-pressed', 'false');
  await button.evaluate((b) => (b as HTMLButtonElement).click());
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await button.evaluate((b) => (b as HTMLButtonElement).click());
  await expect(button).toHaveAttribute('aria-pressed', 'false');
});
