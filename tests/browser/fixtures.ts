import { test as base, type Page } from '@playwright/test';
import { startApp, type RunningApp } from '../../tools/app.mjs';

const DEMO = ['sandpiper', 'wren', 'gannet'];

interface Fixtures {
  /** Whether the test needs an application of its own, with nothing but the demo data. */
  alone: boolean;
  app: RunningApp;
  /** The address of an own copy of a demo craft; the same one during a test. */
  copy: (id: string) => Promise<string>;
  /** Opens a station of a craft; of a demo craft, its copy. */
  craft: (id: string, station?: string) => Promise<Page>;
}

/**
 * The tests of a worker share an application, as starting one costs more than most tests do; each works on copies of
 * the demo craft of its own. A page that logs an error or throws fails its test.
 */
export const test = base.extend<Fixtures, { shared: RunningApp }>({
  shared: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the pattern
    async ({}, use) => {
      const app = await startApp();
      await use(app);
      await app.stop();
    },
    { scope: 'worker' },
  ],
  alone: [false, { option: true }],
  app: async ({ alone, shared }, use) => {
    const app = alone ? await startApp() : shared;
    await use(app);
    if (alone) await app.stop();
  },
  copy: async ({ app, alone, request }, use) => {
    const copies: Record<string, string> = {};
    await use(async (id) => {
      if (alone || !DEMO.includes(id)) return id;
      if (copies[id] !== undefined) return copies[id];
      const setup = await request.get(`${app.address}/api/setups/${id}/export`);
      const made = await request.post(`${app.address}/api/setups`, { data: (await setup.json()) as object });
      return (copies[id] = ((await made.json()) as { id: string }).id);
    });
  },
  // Most look at the whole bench; at this height it begins as a strip, which has tests of its own.
  page: async ({ page }, use) => {
    await page.addInitScript(() => {
      if (localStorage.getItem('zephyros-folded-bench') === null)
        localStorage.setItem('zephyros-folded-bench', 'false');
    });
    await use(page);
  },
  craft: async ({ page, app, copy }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(String(error)));
    page.on('console', (message) => {
      // A refusal by the server (4xx) is an answer that the page shows, not a fault of the page.
      const refused = /responded with a status of 4\d\d/.test(message.text());
      if (message.type() === 'error' && !refused) faults.push(message.text());
    });
    await use(async (id, station = 'model') => {
      await page.goto(`${app.address}/craft/${await copy(id)}/${station}`);
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
