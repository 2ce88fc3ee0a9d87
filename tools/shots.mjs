// Takes the pictures in docs/screenshots from demo data. With a folder as argument, pictures of every view, width and theme go there.
import { chromium } from '@playwright/test';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { startApp } from './app.mjs';
import { launchOptions } from './browser.mjs';

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const pushThrottle = async (page, limiter = 'safe') => {
  // The bench is shared by all pictures: another one may have switched the limiter, and a stick that stands there already
  // would not move.
  await page
    .getByRole('button', { name: `Right front, outer ${limiter}` })
    .first()
    .click();
  await page.getByLabel('Throttle', { exact: true }).fill('-100');
  await page.getByLabel('Throttle', { exact: true }).fill('40');
  await page.getByTestId('at-hands').getByText('+40').waitFor();
};
// All that is wrong with Sandpiper; taken back after each picture.
const FIXES = ['Send A E T R', '“Far out” above 800 m'];
const fixed = async (page) => {
  for (const name of FIXES) await page.getByRole('button', { name, exact: true }).click();
  await page.locator('[data-verdict=nothing-wrong]').waitFor({ timeout: 60_000 });
};
const arm = async (page) => {
  await page.getByRole('button', { name: 'Left shoulder far' }).first().click();
  await page.getByTestId('board-title').getByText('Armed').waitFor();
  await page.getByTestId('verdict').getByText('not kept').waitFor();
};

const ticked = async (page) => {
  const steps = page.getByRole('button', { name: /^So it is/ });
  for (let i = 0; i < 3; i++) await steps.nth(i).click();
  await page.getByText('All 3 ticked.').waitFor();
};
const limited = (page) => pushThrottle(page, 'far');
const straighten = async (page) => {
  await page.getByRole('button', { name: 'Straighten a multi-position switch' }).click();
  await page.getByText('Worked out').waitFor();
};
const breakPromise = async (page) => {
  await page.getByTestId('verdict').getByText('/').waitFor();
  await page.getByTestId('promise-no-leap').getByText('broken', { exact: true }).click();
  await page.getByRole('heading', { name: 'Proven to keep it' }).waitFor();
  await page.getByRole('button', { name: 'One step' }).click();
  await page.getByRole('button', { name: 'One step' }).click();
};
const taken = async (page) => {
  await page.getByText('states looked at').waitFor();
  await page.getByTestId('promise-functions-reachable').locator('summary').first().click();
  await page.getByRole('heading', { name: 'Proven to keep it' }).waitFor({ timeout: 60_000 });
};
const record = async (page, kind) => {
  await page.getByRole('button', { name: 'Record the simulated receiver' }).click();
  await page.getByRole('menuitem', { name: kind }).click();
  await page.getByRole('heading', { name: /^Frame 1 of/ }).waitFor();
};
const flown = async (page) => {
  // The last of all: it puts Wren's level right, with which the others show her.
  const limit = page.getByRole('button', { name: 'Limit 14.1 V for “Empty”' });
  await page.getByRole('tab', { name: 'Flights' }).waitFor();
  if (await limit.isVisible()) await limit.click();
  if (!(await page.getByRole('list', { name: 'Flights' }).isVisible()))
    for (const kind of [/fade/, /gusts/]) {
      await page.getByRole('button', { name: 'An invented flight' }).click();
      await page.getByRole('menuitem', { name: kind }).click();
      await page.getByText(kind).and(page.getByText('Invented')).waitFor();
    }
  await page.getByText(/false alarms?, and too late/).waitFor();
};
const editCondition = (page) => page.getByRole('button', { name: 'Edit Home asked' }).click();
const editCurve = (page) => page.getByRole('button', { name: /^Curve of|^curve of/ }).click();

const VIEWS = [
  { name: 'hangar', path: '/', main: true },
  {
    name: 'setup-fault',
    path: '/craft/sandpiper/model',
    prepare: pushThrottle,
    main: true,
    themes: ['light', 'dark'],
    bench: true,
  },
  { name: 'work', path: '/craft/sandpiper/work', prepare: ticked, main: true },
  { name: 'hands', path: '/craft/sandpiper/hands', main: true },
  { name: 'channels', path: '/craft/sandpiper/model', prepare: limited, main: true },
  { name: 'logic', path: '/craft/wren/model?part=logic', main: true },
  { name: 'states', path: '/craft/wren/model?part=states' },
  { name: 'ready-made', path: '/craft/sandpiper/model?part=ready-made', prepare: straighten, main: true },
  { name: 'condition', path: '/craft/sandpiper/model?part=logic', prepare: editCondition },
  { name: 'step', path: '/craft/sandpiper/model', prepare: editCurve },
  { name: 'board', path: '/craft/gannet/board', main: true },
  {
    name: 'loss',
    path: '/craft/sandpiper/board?part=loss',
    prepare: (page) => page.getByText(/^It comes down within/).waitFor(),
    main: true,
  },
  { name: 'leap', path: '/craft/sandpiper/proof', prepare: breakPromise },
  {
    name: 'announcements',
    path: '/craft/sandpiper/model?part=logic',
    prepare: (page) => page.getByRole('heading', { name: 'Announcements' }).scrollIntoViewIfNeeded(),
  },
  {
    name: 'untrue',
    path: '/craft/gannet/proof',
    prepare: async (page) => {
      await page.getByTestId('verdict').getByText('/').waitFor();
      await page.getByTestId('promise-changes-announced').getByText('broken', { exact: true }).click();
      await page.getByRole('heading', { name: 'Proven to keep it' }).waitFor();
    },
  },
  { name: 'proof', path: '/craft/wren/proof', prepare: taken, main: true },
  { name: 'air', path: '/craft/sandpiper/air', prepare: pushThrottle, main: true },
  {
    name: 'distance',
    path: '/craft/sandpiper/air',
    prepare: async (page) => {
      await page.getByLabel('Distance of the craft').fill('88');
      await page.getByText(/of the last hundred packets/).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'stepped',
    path: '/craft/wren/air',
    prepare: async (page) => {
      await page.getByLabel('Radio system').selectOption('Stepped packets');
      await page.getByLabel('Mode').waitFor();
      await page.getByRole('tab', { name: 'Channels' }).click();
      await page.getByText('6 steps').first().waitFor();
    },
  },
  {
    name: 'bind',
    path: '/craft/sandpiper/air?part=bind',
    main: true,
    prepare: (page) => page.getByRole('radiogroup', { name: 'Step 1' }).getByText('done', { exact: true }).click(),
  },
  {
    name: 'wiggle',
    path: '/craft/sandpiper/board?part=measure',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Read all at once' }).click();
      await page.getByText('Everything is known.').waitFor();
    },
  },
  {
    name: 'routine',
    path: '/craft/sandpiper/board?part=measure',
    prepare: async (page) => {
      // The bench is shared by all pictures: the routine may run already.
      const start = page.getByRole('button', { name: 'Measure the sticks, guided' });
      await start.or(page.getByText('Move throttle fully up')).waitFor();
      if (await start.isVisible()) await start.click();
      await page.getByText('Move throttle fully up').waitFor();
    },
  },
  {
    name: 'return',
    path: '/craft/sandpiper/return',
    main: true,
    prepare: (page) => page.getByText('at most 0.32 s old').first().waitFor(),
  },
  { name: 'alarms', path: '/craft/sandpiper/return?part=alarms' },
  { name: 'goggles', path: '/craft/sandpiper/return?part=goggles' },
  { name: 'timers', path: '/craft/gannet/return?part=timers' },
  { name: 'return-battery', path: '/craft/sandpiper/return?part=battery' },
  {
    name: 'sticks',
    path: '/craft/sandpiper/board?part=measure',
    prepare: (page) => page.getByRole('button', { name: 'Real sticks' }).click(),
  },
  {
    name: 'sweep',
    path: '/craft/sandpiper/board?part=measure',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Read all at once' }).click();
      await page.getByText('Everything is known.').waitFor();
      await page.getByRole('listitem', { name: 'pitch' }).getByLabel('Lowest').fill('1100');
      await page.getByRole('listitem', { name: 'pitch' }).getByLabel('Highest').fill('1880');
      await page.getByRole('button', { name: 'Work it out' }).click();
      await page.getByText('The marks are the 1000').evaluate((a) => {
        const scroller = a.closest('section[tabindex]');
        scroller.scrollTop += a.getBoundingClientRect().top - scroller.getBoundingClientRect().top - 30;
      });
    },
  },
  {
    name: 'switches',
    path: '/craft/sandpiper/board?part=measure',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Read all at once' }).click();
      const arm = page.getByRole('listitem', { name: 'Left shoulder', exact: true });
      await arm.getByLabel(/^far/).fill('1690');
      await arm.getByLabel('Trembles by').fill('4');
      await page.keyboard.press('Enter');
      await page.getByText('do not switch what is planned').waitFor();
      await arm.evaluate((a) => {
        const scroller = a.closest('section[tabindex]');
        scroller.scrollTop += a.getBoundingClientRect().top - scroller.getBoundingClientRect().top - 60;
      });
    },
  },
  {
    name: 'typed',
    path: '/craft/sandpiper/board?part=measure',
    prepare: async (page) => {
      await page.getByRole('radio', { name: 'my own board, typed' }).check();
      await page.getByRole('button', { name: 'Type the sticks' }).click();
      for (const value of ['2004', '1003']) {
        await page.getByLabel('It shows').fill(value);
        await page.getByRole('button', { name: 'Next' }).click();
        await page
          .getByRole('group', { name: 'Guided routine' })
          .getByText(value === '2004' ? 'Now throttle' : 'Leave throttle')
          .waitFor();
      }
    },
  },
  { name: 'compare-bench', path: '/craft/sandpiper/board?part=compare' },
  {
    name: 'compare',
    path: '/craft/wren/board?part=measure',
    main: false,
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Read all at once' }).click();
      await page.getByText('Everything is known.').waitFor();
      await page.getByRole('listitem', { name: 'pitch' }).getByLabel('Highest').fill('1880');
      await page.getByRole('tab', { name: 'Compare' }).click();
      await page.getByRole('radio', { name: 'my own craft, measured' }).check();
      await page.getByRole('button', { name: 'Record the simulated receiver' }).click();
      await page.getByText('come and the board shows').filter({ visible: true }).waitFor();
    },
  },
  { name: 'symptoms', path: '/craft/sandpiper/board?part=symptoms' },
  {
    name: 'ports',
    path: '/craft/wren/wire',
    prepare: (page) => page.getByRole('listitem', { name: 'Port 5', exact: true }).scrollIntoViewIfNeeded(),
  },
  { name: 'wire', path: '/craft/sandpiper/wire', prepare: pushThrottle, main: true },
  {
    name: 'capture',
    path: '/craft/gannet/wire',
    main: true,
    prepare: async (page) => {
      await record(page, /Behind an inverter/);
      await page.getByRole('article', { name: 'What the recording says' }).evaluate((a) => {
        a.closest('section[tabindex]').scrollTop = a.offsetTop - 180;
      });
    },
  },
  {
    name: 'line',
    path: '/craft/gannet/wire',
    prepare: async (page) => {
      await record(page, /With a loose plug/);
      await page.getByRole('region', { name: 'The line' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'stand-back',
    path: '/craft/sandpiper/model',
    main: true,
    prepare: async (page) => {
      await pushThrottle(page);
      await page.getByRole('button', { name: /Stand-back/ }).click();
    },
  },
  { name: 'keys', path: '/craft/wren/board', prepare: (page) => page.keyboard.press('Control+/') },
  {
    name: 'palette',
    path: '/craft/wren/board',
    prepare: (page) => page.getByRole('button', { name: /^Find/ }).click(),
  },
  { name: 'armed', path: '/craft/wren/board', prepare: arm, main: true, bench: true },
  { name: 'fixed', path: '/craft/sandpiper/board', prepare: fixed },
  { name: 'flights', path: '/craft/wren/return?part=flights', main: true, prepare: flown },
];

const all = process.argv[2];
const only = process.argv[3]?.split(',');
const folder = all ?? 'docs/screenshots';
await mkdir(folder, { recursive: true });
const app = await startApp();
const browser = await chromium.launch(launchOptions);
try {
  for (const view of VIEWS.filter((v) => (all ? !only || only.includes(v.name) : v.main))) {
    const sizes = all
      ? [
          ['', DESK],
          ['-phone', PHONE],
        ]
      : [['', DESK]];
    const themes = all ? ['light', 'dark'] : (view.themes ?? ['light']);
    for (const [suffix, viewport] of sizes)
      for (const theme of themes) {
        const context = await browser.newContext({ viewport, colorScheme: theme, locale: 'en-GB', timezoneId: 'UTC' });
        // Whatever is done for a picture is done on the whole bench; most show it as the strip that it begins as.
        await context.addInitScript(() => document.defaultView.localStorage.setItem('zephyros-folded-bench', 'false'));
        const page = await context.newPage();
        page.on('console', (message) => message.type() === 'error' && console.error(`${view.name}: ${message.text()}`));
        page.on('pageerror', (error) => console.error(`${view.name}: ${error}`));
        await page.goto(app.address + view.path);
        await page.getByRole('heading', { level: 1 }).first().waitFor();
        if (view.path === '/') await page.getByText('Sandpiper').waitFor();
        else await page.getByTestId('at-model').getByText('µs').waitFor();
        await view.prepare?.(page).catch((error) => console.error(`${view.name}${suffix}: ${error}`));
        // The proof goes on beside everything; a picture shows what it has come to.
        const verdict = page.getByTestId('verdict');
        if ((await verdict.count()) > 0) {
          await verdict.getByText('/').waitFor();
          await verdict.getByText('proving…').waitFor({ state: 'hidden', timeout: 60_000 });
        }
        if (!view.bench && view.path !== '/') await page.keyboard.press('Alt+b');
        await page.evaluate(() => document.fonts.ready);
        const file = join(folder, `${view.name}${suffix}${theme === 'dark' ? '-dark' : ''}.png`);
        await page.screenshot({ path: file });
        console.log(file);
        await context.close();
        for (let undone = 0; view.prepare === fixed && undone < FIXES.length; undone++)
          await fetch(`${app.address}/api/setups/sandpiper/undo`, {
            method: 'POST',
            headers: { 'If-Match': (await fetch(`${app.address}/api/setups/sandpiper`)).headers.get('etag') },
          });
      }
  }
} finally {
  await browser.close();
  await app.stop();
}
