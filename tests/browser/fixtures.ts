import { test as base, type Page } from '@playwright/test';
import { startApp, type RunningApp } from '../../tools/app.mjs';

/** A test with an application of its own, on new demo data. A page that logs an error or throws fails its test. */
export const test = base.extend<{ app: RunningApp; craft: (id: string, station?: string) => Promise<Page> }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads the pattern
  app: async ({}, use) => {
    const app = await startApp();
    await use(app);
    await app.stop();
  },
  craft: async ({ page, app }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(String(error)));
    page.on('console', (message) => {
      // A refusal by the server (4xx) is an answer that the page shows, not a fault of the page.
      const refused = /responded with a status of 4\d\d/.test(message.text());
      if (message.type() === 'error' && !refused) faults.push(message.text());
    });
    await use(async (id, station = 'model') => {
      await page.goto(`${app.address}/craft/${id}/${station}`);
      await page.getByTestId('at-model').getByText('µs').waitFor();
      return page;
    });
    base.expect(faults).toEqual([]);
  },
});

export { expect } from '@playwright/test';

/** Puts a stick somewhere by dragging it in its square; x and y are in percent. */
export async function dragStick(
  page: Page,
  hand: 'left' | 'right',
  x: number,
  y: number,
  release = true,
): Promise<void> {
  const box = (await page.getByTestId(`${hand}-stick`).boundingBox())!;
  const at = (toX: number, toY: number) =>
    [box.x + (box.width * (toX + 100)) / 200, box.y + (box.height * (100 - toY)) / 200] as const;
  await page.mouse.move(...at(0, 0));
  await page.mouse.down();
  await page.mouse.move(...at(x, y), { steps: 5 });
  if (release) await page.mouse.up();
}
