import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

const MODEL = '/craft/sandpiper/model';
const MAIN = [
  '/',
  MODEL,
  `${MODEL}?part=logic`,
  '/craft/sandpiper/hands',
  '/craft/sandpiper/board',
  '/craft/sandpiper/proof',
];
const PAGES = [
  ...MAIN,
  `${MODEL}?part=states`,
  `${MODEL}?part=ready-made`,
  '/figures',
  '/nowhere',
  '/craft/nobody/model',
  '/craft/sandpiper/air',
  '/craft/sandpiper/air?part=channels',
  '/craft/sandpiper/air?part=bind',
  '/craft/sandpiper/board?part=measure',
  '/craft/sandpiper/board?part=compare',
  '/craft/sandpiper/board?part=symptoms',
  '/craft/sandpiper/wire',
];

/** What the accessibility checker finds on a page, or in a part of it. */
async function violations(page: Page, part = 'body', rules?: string[]): Promise<string[]> {
  // Every rule runs; only of what is found wrong the details are worked out.
  const checker = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(part);
  const found = await (
    rules ? checker.withRules(rules) : checker.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  return found.violations.map((v) => `${v.id} ${v.nodes.map((n) => String(n.target)).join(' ')}`);
}

test('where figures come from is told, well founded or not', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByRole('link', { name: 'Where figures come from' }).click();
  await expect(page.getByText('The edges of a band move in steps of')).toBeVisible();
  await page.getByRole('radio', { name: /published/ }).check();
  await expect(page.getByRole('definition')).toHaveText([/299792458 m\/s/, /BIPM/]);
});

const LOOKS = [
  { width: 1280, colorScheme: 'light', paths: PAGES },
  { width: 1280, colorScheme: 'dark', paths: MAIN },
  { width: 390, colorScheme: 'light', paths: MAIN },
  { width: 2560, colorScheme: 'light', paths: MAIN },
] as const;

for (const { width, colorScheme, paths } of LOOKS)
  test(`no page violates WCAG 2.2 AA or scrolls sideways, ${colorScheme}, ${width} px`, async ({ browser, app }) => {
    const context = await browser.newContext({ colorScheme, viewport: { width, height: 800 } });
    const page = await context.newPage();
    for (const path of paths) {
      await page.goto(app.address + path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (path.includes('sandpiper')) await expect(page.getByTestId('at-model')).toContainText('µs');
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(overflow, `${path} at ${width} px`).toBeLessThanOrEqual(0);
      // The parts of a craft's page scroll, each for itself; the page does not.
      const longer = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
      if (path.includes('sandpiper')) expect(longer, `${path} at ${width} px`).toBeLessThanOrEqual(0);
      // A wider window shows the same elements in the same colours; it is the room between them that can go wrong.
      // The dark theme differs in nothing but colours.
      const rules = colorScheme === 'dark' ? ['color-contrast'] : undefined;
      if (width <= 1280) expect(await violations(page, 'body', rules), path).toEqual([]);
    }
    await context.close();
  });

test('overlays are without violations too, and the bench unfolds on a phone', async ({ craft }) => {
  const page = await craft('wren', 'board');
  for (const name of [/^Stand-back/, /^Find/, /^Keys/, /Show the history/]) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await violations(page, '[role=dialog]'), String(name)).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
});

test('figures of the stand-back view are 60 px and more', async ({ craft }) => {
  const page = await craft('wren');
  await page.getByRole('button', { name: /^Stand-back/ }).click();
  const sizes = await page
    .getByRole('dialog')
    .locator('ol li > span:nth-child(2), [data-testid=board-title]')
    .evaluateAll((all) => all.map((one) => parseFloat(getComputedStyle(one).fontSize)));
  expect(sizes).toHaveLength(7);
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(60);
});

test('an empty hangar says what to do next', async ({ page }) => {
  const { startApp } = await import('../../tools/app.mjs');
  const app = await startApp({ demo: false });
  await page.goto(app.address);
  await expect(page.getByRole('heading', { name: 'No craft yet' })).toBeVisible();
  await app.stop();
});
