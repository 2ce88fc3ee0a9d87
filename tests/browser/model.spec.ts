import type { Locator, Page } from '@playwright/test';
import { expect, test } from './fixtures';

/** Goes to a control with the Tab key alone. */
async function tabTo(page: Page, goal: Locator): Promise<void> {
  await goal.waitFor();
  for (let presses = 0; presses < 200; presses++) {
    if (await goal.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reaches ${String(goal)}`);
}

async function press(page: Page, goal: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, goal);
  await page.keyboard.press(key);
}

/** Replaces what a field holds and leaves it. */
async function type(page: Page, goal: Locator, text: string): Promise<void> {
  await tabTo(page, goal);
  await page.keyboard.press('Control+a');
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
}

const channel = (page: Page, name: string) =>
  page.getByRole('row').filter({ has: page.getByRole('button', { name: new RegExp(`^${name}`) }) });

test('a switch is planned from the keyboard: named, assigned by flicking it twice, and seen in the hands', async ({
  craft,
}) => {
  const page = await craft('sandpiper', 'hands');
  const tile = page.getByRole('article').filter({ hasText: 'Left front, outer' });
  await expect(tile).toContainText('free');
  await press(page, page.getByRole('button', { name: 'Edit Left front, outer' }));
  await type(page, page.getByLabel('Your own name'), 'Strobe');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('article').filter({ hasText: 'Strobe does nothing' })).toBeVisible();

  await press(page, page.getByRole('link', { name: /^Model/ }));
  await press(page, page.getByRole('button', { name: 'Channel 13 (AUX 9)' }));
  await press(page, page.getByRole('button', { name: 'Channel 13', exact: true }));
  await type(page, page.getByLabel('Carries'), 'Strobe light');
  await page.keyboard.press('Escape');
  await press(page, page.getByLabel('Channel 13: take the control that I flick'));
  await page.keyboard.press('Control+.');
  // The switches of the dock are numbered; this one is the third.
  await page.keyboard.press('3');
  await expect(page.getByText('Strobe? Once more')).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('combobox', { name: 'Channel 13 takes' })).toHaveValue('control:left-front-outer');
  await expect(page.getByRole('heading', { name: 'Strobe does nothing' })).toHaveCount(0);

  await press(page, page.getByRole('link', { name: /^Hands/ }));
  const strobe = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Strobe' }) });
  await expect(strobe.getByRole('button', { name: 'Put Strobe at far' })).toContainText('ch 13 2012 µs');
  await page.keyboard.press('Control+z');
  await expect(strobe.getByRole('button', { name: 'Put Strobe at far' })).toHaveCount(0);
});

test('the limiter is built from the keyboard, tried in the dock, switched off, moved, copied and dragged', async ({
  craft,
}) => {
  const page = await craft('wren');
  await tabTo(page, page.getByRole('tab', { name: 'Channels' }));
  for (const part of ['Logic', 'Flight states', 'Ready-made']) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('tab', { name: part })).toBeFocused();
  }
  await press(page, page.getByRole('button', { name: 'Throttle limiter' }));
  await type(page, page.getByLabel('Share with the dial at its low end'), '60');
  await expect(page.getByText('Built.')).toBeVisible();

  await craft('wren');
  const row = channel(page, 'Throttle');
  const sent = row.getByRole('cell').last();
  const share = row.getByRole('button', { name: /multiply by Left dial/ });
  await expect(share).toBeVisible();
  // Full throttle with the dial at its middle: a share of 80 % leaves +60 %, times the ends of 97.6 %.
  await page.keyboard.press('Control+.');
  for (let i = 0; i < 20; i++) await page.keyboard.press('w');
  await expect(row).toContainText('+160 %');
  await expect(sent).toHaveText('1799.8 µs');
  for (let i = 0; i < 20; i++) await page.keyboard.press('s');
  await expect(sent).toHaveText('1000.3 µs');

  // Closing an editor gives the focus back to its step; only then may the dock take it.
  const close = async (chip: Locator) => {
    await page.keyboard.press('Escape');
    await expect(chip).toBeFocused();
  };
  await press(page, share);
  await press(page, page.getByLabel('Switched on'), 'Space');
  await close(share);
  await page.keyboard.press('Control+.');
  for (let i = 0; i < 20; i++) await page.keyboard.press('w');
  await expect(sent).toHaveText('1999.7 µs');
  await page.keyboard.press('Control+z');
  await expect(sent).toHaveText('1799.8 µs');

  // Moved one place later it multiplies what was lowered already: (100 + 100 - 100) x 80 % = 80 %.
  await press(page, share);
  await press(page, page.getByRole('button', { name: 'Later' }));
  await expect(page.getByText('step 4 of 4 on Throttle')).toBeVisible();
  await close(share);
  await expect(sent).toHaveText('1899.8 µs');
  // Dragged back to its place with the mouse.
  await share.dragTo(row.getByRole('button', { name: /shift by −100 %/ }));
  await expect(sent).toHaveText('1799.8 µs');

  // A copy goes to the end of another chain, and is taken out again there.
  await press(page, share);
  await press(page, page.getByRole('button', { name: 'Copy to' }));
  await expect(page.getByRole('menuitem').first()).toBeFocused();
  await page.keyboard.type('8 L');
  await expect(page.getByRole('menuitem', { name: '8 Lamp' })).toBeFocused();
  await page.keyboard.press('Enter');
  const copy = channel(page, 'Lamp').getByRole('button', { name: /multiply by Left dial/ });
  await expect(copy).toBeVisible();
  await close(share);
  await press(page, copy);
  await press(page, page.getByRole('button', { name: 'Remove', exact: true }));
  await expect(copy).toHaveCount(0);
});

test('the six-position switch is straightened from the keyboard', async ({ craft }) => {
  const page = await craft('sandpiper', 'model?part=ready-made');
  await press(page, page.getByRole('button', { name: 'Straighten a multi-position switch' }));
  const measured = page.getByLabel('Measured, position 1 first');
  await tabTo(page, measured);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('-100 -40 -11 12 35 x');
  await expect(page.getByRole('alert')).toContainText('"x" is no number from -150 to +150');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('100');
  await type(page, page.getByLabel('Wanted, position 1 first'), '-100 -85 -70 70 85 100');
  await expect(page.getByText('Built.')).toBeVisible();

  await craft('sandpiper');
  const row = channel(page, 'Goggles page');
  await expect(row.getByRole('button', { name: /curve of 11 points/ })).toHaveCount(1);
  for (const wanted of ['−85 %', '−70 %', '+70 %', '+85 %', '+100 %']) {
    await page.keyboard.press('Control+.');
    await page.keyboard.press('4');
    await expect(row).toContainText(wanted);
  }
});

test('the lock that was not enabled is fixed, and holds the throttle in the dock until the craft is armed', async ({
  craft,
}) => {
  const page = await craft('wren');
  const row = channel(page, 'Throttle');
  const sent = row.getByRole('cell').last();
  await page.keyboard.press('Control+.');
  for (let i = 0; i < 5; i++) await page.keyboard.press('w');
  await expect(sent).toHaveText('1250.1 µs');

  const finding = page.getByRole('article').filter({ hasText: 'Throttle lock is not enabled' });
  await press(page, finding.getByRole('button').first());
  await expect(finding).toHaveCount(0);
  await expect(sent).toHaveText('988.0 µs');
  await expect(row).toContainText('forced');

  // Armed with the throttle up it stays locked; armed with the throttle down it lets go, and locks at once on disarming.
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect(sent).toHaveText('988.0 µs');
  for (let i = 0; i < 5; i++) await page.keyboard.press('s');
  await expect(row).not.toContainText('forced');
  for (let i = 0; i < 8; i++) await page.keyboard.press('w');
  await expect(sent).toHaveText('1400.1 µs');
  await page.keyboard.press('1');
  await expect(sent).toHaveText('988.0 µs');
});

test('names are shown as text, whatever they hold', async ({ craft, copy, app }) => {
  const markup = '<img src=x onerror=alert(1)>';
  const answer = await fetch(`${app.address}/api/setups/${await copy('sandpiper')}/edits`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'If-Match': '"1"' },
    body: JSON.stringify({
      title: markup,
      operations: [
        { op: 'replace', path: '/model/channels/camera/label', value: markup },
        { op: 'replace', path: '/model/conditions/come-home/label', value: '\u202Eemoh emoc' },
        { op: 'add', path: '/transmitter/controls/right-dial/alias', value: markup },
      ],
    }),
  });
  expect(answer.status).toBe(200);
  for (const part of ['hands', 'model', 'model?part=logic', 'board']) {
    const page = await craft('sandpiper', part);
    expect(await page.locator('img').count()).toBe(0);
    if (part !== 'model?part=logic')
      await expect(page.getByText(markup).filter({ visible: true }).first()).toBeVisible();
  }
});

test('a board function is added, given a band, and shown at the position that works it', async ({ craft }) => {
  const page = await craft('sandpiper', 'board');
  await page.getByRole('button', { name: 'Add a function' }).click();
  await page.getByRole('menuitem', { name: 'Cruise' }).click();
  await page.getByLabel('Cruise watches').selectOption({ label: 'AUX 2 = channel 6' });
  await page.getByLabel('Cruise is active from').fill('1750');
  await page.keyboard.press('Enter');
  await page.getByLabel('Cruise is meant for').selectOption({ label: 'Right front, inner' });
  await page.getByRole('link', { name: /^Hands/ }).click();
  await expect(page.getByRole('button', { name: 'Put Right front, inner at far' })).toContainText('Cruise');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Put Right front, inner at far' })).not.toContainText('Cruise');
  await expect(page.getByRole('button', { name: /^Saved, revision 9/ })).toBeVisible();
});

test('a condition is put together as a sentence, warned about while it can never hold, and saved', async ({
  craft,
}) => {
  const page = await craft('wren', 'model?part=logic');
  await page.getByRole('button', { name: 'Condition', exact: true }).click();
  const sheet = page.getByRole('region', { name: /^Condition/ });
  const preview = sheet.getByRole('status');
  await sheet.getByLabel('Name').fill('Both ends');
  await sheet.getByRole('combobox').first().selectOption({ label: 'all of these (and)' });
  await sheet.getByRole('button', { name: 'Part' }).click();
  await expect(preview).toContainText('Left back is far and Left back is far');
  // The second part asks for the other end of the same switch.
  await sheet.getByRole('checkbox', { name: 'safe' }).nth(1).click();
  await sheet.getByRole('checkbox', { name: 'far' }).nth(1).click();
  await expect(preview).toContainText('It can never hold.');
  // The bench is in reach meanwhile, and what was put together is still there after Escape and on another day.
  await page.getByRole('button', { name: 'Left shoulder far' }).click();
  await expect(page.getByTestId('board-title')).toHaveText('Armed');
  await page.getByRole('button', { name: 'Left shoulder safe' }).click();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(preview).toContainText('It can never hold.');
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: 'Condition', exact: true })).toBeFocused();
  await expect(page.getByRole('listitem').filter({ hasText: 'nothing uses it' })).toContainText('Both ends');
  await expect(page.getByRole('article').filter({ hasText: 'Nothing uses “Both ends”' })).toBeVisible();
});

test('the states part says which state each combination gives', async ({ craft }) => {
  const page = await craft('wren', 'model?part=states');
  await page.getByText('Which state each combination gives · 6 combinations').click();
  const both = page.getByRole('row').filter({ hasText: 'Right front, outer far, Right shoulder far' });
  await expect(both.getByRole('cell').last()).toHaveText('Land');
  const neither = page.getByRole('row', {
    name: 'Right front, outer safe, Right shoulder safe Lamp room',
    exact: true,
  });
  await expect(neither).toBeVisible();
});
