import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';

const promise = (page: Page, code: string) => page.getByTestId(`promise-${code}`);

/** Waits until every promise has its verdict. */
const settled = (page: Page) => page.getByText('states looked at').waitFor();

test('a promise is broken, read, played on the bench, fixed with a proven fix, and proven', async ({ craft }) => {
  const page = await craft('wren', 'proof');
  await settled(page);
  await expect(promise(page, 'loss-is-handled')).toContainText('proven');

  // The receiver is set to hold: the board never learns of a loss.
  await page.getByRole('link', { name: /^Air/ }).click();
  await page.getByRole('tab', { name: 'Channels' }).click();
  await page.getByLabel('The receiver').selectOption('holds the last values');
  await expect(page.getByTestId('verdict')).toContainText(/\d not kept/);
  await page.getByRole('link', { name: /^Proof/ }).click();
  const broken = promise(page, 'loss-is-handled');
  await expect(broken).toContainText('played on the simulated bench');
  await broken.locator('summary').first().click();

  const steps = broken.locator('ol > li');
  await expect(steps.last()).toContainText('The radio link is lost');
  await expect(steps.last()).toContainText('Armed, motors idle');
  const count = await steps.count();
  for (let step = 0; step < count; step++) await broken.getByRole('button', { name: 'One step' }).click();
  await expect(steps.last()).toHaveAttribute('aria-current', 'step');
  // The bench of the page is where the sequence ends: no link, and still armed.
  await expect(page.getByTestId('board-title')).toHaveText('Armed');
  await broken.getByRole('button', { name: 'To the start' }).click();
  await expect(page.getByTestId('board-title')).toHaveText('No power');
  await broken.getByRole('button', { name: 'Play on the bench' }).click();
  await expect(steps.nth(1)).toHaveAttribute('aria-current', 'step');
  await broken.getByRole('button', { name: 'Pause' }).click();

  await broken.getByRole('button', { name: 'Receiver falls silent on a loss' }).click();
  await expect(page.getByTestId('verdict')).toContainText('21/22');
  await expect(promise(page, 'loss-is-handled')).toContainText('No reachable state breaks it');

  // An alarm whose limit every reading is below takes a channel for ever: put right, everything is proven.
  await expect(promise(page, 'functions-reachable')).toContainText('it stays off as long as telemetry arrives');
  await page.getByRole('button', { name: 'Limit 14.1 V for “Empty”' }).first().click();
  await expect(page.getByTestId('verdict')).toContainText('22/22');
});

test('a broken promise is kept with a reason, and looked at again', async ({ craft }) => {
  const page = await craft('sandpiper', 'proof');
  await settled(page);
  const leap = promise(page, 'no-leap');
  await leap.locator('summary').first().click();
  await expect(leap.getByRole('heading', { name: 'Proven to keep it' })).toBeVisible();
  await leap.getByRole('button', { name: 'Keep it as it is, with a reason' }).click();
  await leap.getByLabel('Why it is right as it is').fill('A craft for the bench only');
  await leap.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(leap).toContainText('Kept as it is: A craft for the bench only');
  await expect(page.getByTestId('verdict')).toContainText('5 not kept, 1 say nothing yet');
  await leap.getByRole('button', { name: 'Look at it again, without the reason' }).click();
  await expect(page.getByTestId('verdict')).toContainText('6 not kept, 1 say nothing yet');
});

test('a long proof shows how far it is and is cancelled', async ({ app, craft, request }) => {
  const setup = (await (await request.get(`${app.address}/api/setups/sandpiper/export`)).json()) as Loose;
  const made = await request.post(`${app.address}/api/setups`, { data: manySwitches(setup) });
  expect(made.status()).toBe(201);
  const { id } = (await made.json()) as { id: string };
  const page = await craft(id, 'proof');
  await expect(page.getByText(/states so far/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText(/^Cancelled\./)).toBeVisible();
  // The promise at hand is not proven, or was just decided; those after it were not looked at.
  await expect(page.getByText('It was cancelled before its turn.').first()).toBeVisible();
});

interface Loose {
  transmitter: { controls: Record<string, unknown> };
  model: { conditions: Record<string, unknown>; overrides: Record<string, unknown> };
  craft: { name: string };
}

/** A craft in which so many switches have a say that its proof takes a minute. */
function manySwitches(setup: Loose): Loose {
  const at = (control: string, position: number) => ({ kind: 'position', control, positions: [position] });
  const names = Array.from({ length: 7 }, (_, i) => `three-${i}`);
  for (const label of names)
    setup.transmitter.controls[label] = { kind: 'switch', label, place: 'left-front', positions: 3, start: 1, safe: 1 };
  setup.model.conditions.latched = {
    label: 'Latched',
    test: { kind: 'latch', set: names.map((n) => at(n, 3)), clear: names.map((n) => at(n, 2)) },
  };
  setup.model.overrides.latched = {
    label: 'Held down',
    channel: 'throttle',
    when: 'latched',
    value: -100,
    order: 5,
    enabled: true,
  };
  setup.craft.name = 'Many switches';
  return setup;
}
