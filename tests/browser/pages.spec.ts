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
  '/craft/sandpiper/work',
];
const PAGES = [
  ...MAIN,
  `${MODEL}?part=states`,
  `${MODEL}?part=ready-made`,
  '/figures',
  '/words',
  '/nowhere',
  '/craft/nobody/model',
  '/craft/sandpiper/air',
  '/craft/sandpiper/air?part=channels',
  '/craft/sandpiper/air?part=bind',
  '/craft/sandpiper/board?part=measure',
  '/craft/sandpiper/board?part=loss',
  '/craft/sandpiper/board?part=compare',
  '/craft/sandpiper/board?part=symptoms',
  '/craft/sandpiper/wire',
  '/craft/sandpiper/return',
  '/craft/sandpiper/return?part=battery',
  '/craft/sandpiper/return?part=alarms',
  '/craft/sandpiper/return?part=voice',
  '/craft/gannet/return?part=timers',
  '/craft/gannet/return?part=goggles',
  '/craft/sandpiper/return?part=search',
];

/** What the accessibility checker finds on a page, or in a part of it. */
async function violations(page: Page, part = 'body', rules?: Look['rules']): Promise<string[]> {
  if (rules === 'none') return [];
  // Every rule runs; only of what is found wrong the details are worked out.
  const checker = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(part);
  if (rules === 'contrast') checker.withRules(['color-contrast']);
  else checker.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
  if (rules === 'all but contrast') checker.disableRules(['color-contrast']);
  const found = await checker.analyze();
  return found.violations.map((v) => `${v.id} ${v.nodes.map((n) => String(n.target)).join(' ')}`);
}

test('where figures come from is told, well founded or not', async ({ page, app }) => {
  await page.goto(app.address);
  await page.getByRole('link', { name: 'Where figures come from' }).click();
  await expect(page.getByText('The edges of a band move in steps of')).toBeVisible();
  await page.getByRole('radio', { name: /published/ }).check();
  await expect(page.getByRole('definition')).toHaveText([
    /299792458 m\/s/,
    /BIPM/,
    /9.807 m\/s²/,
    /Weights and Measures/,
    /304.8 mm/,
    /SP 811/,
  ]);
});

/** What sticks out of the window and can be scrolled to nowhere. */
const cutOff = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const scrolls = (e: Element | null): boolean =>
      e !== null && e.id !== 'work' && (/auto|scroll/.test(getComputedStyle(e).overflowX) || scrolls(e.parentElement));
    return Array.from(document.querySelectorAll('#work *'))
      .filter((e) => e.getBoundingClientRect().right > window.innerWidth + 1 && !scrolls(e.parentElement))
      .filter((e) => !e.closest('.sr-only') && e.getBoundingClientRect().width > 1)
      .map((e) => `${e.tagName} ${e.textContent.slice(0, 30)}`);
  });

interface Look {
  width: number;
  height?: number;
  colorScheme?: 'dark';
  forcedColors?: 'active';
  /** The size of text that the user has set, of the usual one, in percent. */
  text?: number;
  /** Which rules are looked at, where not all of them can come out otherwise than in a look before. */
  rules?: 'contrast' | 'all but contrast' | 'none';
}

// Every page at 1280 px, the main ones in every look.
const USUAL: Look = { width: 1280 };
const LOOKS: Record<string, Look> = {
  '1280 px': USUAL,
  // The dark theme differs in nothing but colours.
  '1280 px, dark': { width: 1280, colorScheme: 'dark', rules: 'contrast' },
  "1280 px, the user's own colours": { width: 1280, forcedColors: 'active', rules: 'contrast' },
  '390 px': { width: 390 },
  '768 px': { width: 768, rules: 'all but contrast' },
  // A wider window shows the same elements in the same colours; it is the room between them that can go wrong.
  '2560 px': { width: 2560, rules: 'none' },
  '1280 px at 200 %': { width: 640, height: 400, rules: 'all but contrast' },
  '1280 px with text of 200 %': { width: 1280, text: 200, rules: 'none' },
};

/** Shows an open page in a look. */
async function show(page: Page, { width, height = 800, colorScheme, forcedColors, text = 100 }: Look): Promise<void> {
  await page.setViewportSize({ width, height });
  await page.emulateMedia({ colorScheme: colorScheme ?? 'light', forcedColors: forcedColors ?? 'none' });
  const itself = await page.context().newCDPSession(page);
  await itself.send('Page.setFontSizes', { fontSizes: { standard: 0.16 * text } });
  await itself.detach();
  // The theme is the system's own as the page opens.
  await page.evaluate((theme) => (document.documentElement.dataset.theme = theme), colorScheme ?? 'light');
  // What asks for the width has heard of it, and is drawn.
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

for (const path of PAGES)
  test(`no look violates WCAG 2.2 AA, is cut off or scrolls sideways: ${path}`, async ({ browser, app }) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.goto(app.address + path);
    for (const [look, made] of Object.entries(MAIN.includes(path) ? LOOKS : { '1280 px': USUAL })) {
      await show(page, made);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (/sandpiper|gannet/.test(path)) await expect(page.getByTestId('at-model')).toContainText('µs');
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(overflow, look).toBeLessThanOrEqual(0);
      // The parts of a craft's page scroll, each for itself; the page does not.
      const longer = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
      if (/sandpiper|gannet/.test(path)) expect(longer, look).toBeLessThanOrEqual(0);
      expect(await cutOff(page), look).toEqual([]);
      expect(await violations(page, 'body', made.rules), look).toEqual([]);
    }
    await page.context().close();
  });

/** What a finger can press and is smaller than 44 px. A link in a sentence is as large as its words. */
const small = (page: Page): Promise<string[]> =>
  page.locator('a[href], button:enabled, select, input:enabled, summary').evaluateAll((all) =>
    all.flatMap((e) => {
      if (e.closest('.sr-only, [inert]') || !e.checkVisibility()) return [];
      const words = e.matches('a') && getComputedStyle(e).display === 'inline' && e.closest('p, dd');
      const { width, height } = (
        e.matches('[type=checkbox], [type=radio]') ? e.closest('label')! : e
      ).getBoundingClientRect();
      if (words || width === 0 || Math.min(width, height) >= 43.9) return [];
      return [`${e.tagName} ${width}x${height} ${e.getAttribute('aria-label') ?? e.textContent}`];
    }),
  );

test('on a phone everything that is pressed has 44 px, and nothing scrolls in what scrolls', async ({
  browser,
  app,
}) => {
  const page = await (
    await browser.newContext({ viewport: { width: 390, height: 800 }, hasTouch: true, isMobile: true })
  ).newPage();
  for (const path of PAGES) {
    await page.goto(app.address + path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    if (/sandpiper|gannet/.test(path)) await expect(page.getByTestId('board-title')).not.toHaveText('…');
    expect(await small(page), path).toEqual([]);
    const scrollers = await page
      .locator('body *')
      .evaluateAll(
        (all) =>
          all.filter(
            (e) =>
              /auto|scroll/.test(getComputedStyle(e).overflowY) &&
              e.clientHeight > 0 &&
              e.scrollHeight > e.clientHeight + 1 &&
              !e.closest('.sr-only'),
          ).length,
      );
    expect(scrollers, path).toBeLessThanOrEqual(1);
  }
  await page.context().close();
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
    .locator('ol:not([role=log] > ol) > li > span:nth-child(2), [data-testid=board-title]')
    .evaluateAll((all) => all.map((one) => parseFloat(getComputedStyle(one).fontSize)));
  expect(sizes).toHaveLength(7);
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(60);
});

test('an empty hangar says what to do next, and brings made-up craft to look around', async ({ page }) => {
  const { startApp } = await import('../../tools/app.mjs');
  const app = await startApp({ demo: false });
  await page.goto(app.address);
  await expect(page.getByRole('heading', { name: 'No craft yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring three made-up craft' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Kittiwake 8' })).toHaveCount(3);
  await app.stop();
});
