import type { Page } from '@playwright/test';
import { expect, test } from './fixtures';
import { plugIn, put, teach } from './sticks';

/** Follows the routine of the sticks by moving the axes of the joystick: throttle, roll, pitch and yaw, each to its ends and back. */
async function follow(page: Page) {
  await page.getByRole('button', { name: 'Measure the sticks, guided' }).press('Enter');
  const routine = page.getByRole('group', { name: 'Guided routine' });
  const moves: [string, number[], number[]][] = [
    ['throttle', [0, 1, 0, 0], [0, -1, 0, 0]],
    ['roll', [1, -1, 0, 0], [-1, -1, 0, 0]],
    ['pitch', [0, -1, -1, 0], [0, -1, 1, 0]],
    ['yaw', [0, -1, 0, 1], [0, -1, 0, -1]],
  ];
  for (const [stick, one, other] of moves) {
    await expect(routine).toContainText(`Move ${stick} fully`);
    await put(page, one);
    await expect(routine).toContainText(`Now ${stick} to its other end`);
    await put(page, other);
    await expect(routine).toContainText(stick === 'throttle' ? 'Leave throttle' : `Let ${stick} go`);
    await put(page, REST);
  }
  await expect(page.getByText('Everything is known.')).toBeVisible();
}

const REST = [0, -1, 0, 0];

test('with both hands on the transmitter, order, direction and ends of a craft are measured and put right', async ({
  craft,
}) => {
  const page = await craft('gannet', 'board?part=measure');
  await plugIn(page);
  await page.reload();
  await page.getByRole('button', { name: 'Real sticks' }).press('Enter');
  await expect(page.getByText('Connected: Made-up sticks')).toBeVisible();
  await teach(page, 'Throttle', 1, REST, [1, -1]);
  await teach(page, 'Roll', 0, REST, [1, -1]);
  await teach(page, 'Pitch', 2, REST, [-1, 1]);
  await teach(page, 'Yaw', 3, REST, [1, -1]);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Real sticks drive 4' })).toBeVisible();

  // The routine goes on by itself; nothing but the sticks is touched.
  const wrong = (title: string) => page.getByRole('article').filter({ hasText: title });
  await expect(wrong('Pitch arrives as yaw')).toBeVisible();
  await follow(page);
  await expect(
    page.getByText('pitch arrives as yaw; throttle arrives right; yaw arrives as pitch, the wrong way.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Board reads T A R E; Yaw runs straight again' }).press('Enter');
  await expect(wrong('Pitch arrives as yaw')).toHaveCount(0);
  await expect(wrong('Yaw runs the wrong way')).toHaveCount(0);

  // What was measured before no longer holds, so nothing more is corrected by it.
  await expect(page.getByText('Measure again before you correct anything else')).toBeVisible();
  await follow(page);
  await expect(page.getByText('Order and directions are right.')).toBeVisible();
  await page.getByRole('button', { name: 'Work it out' }).press('Enter');
  await expect(page.getByRole('img', { name: /^pitch now: 1091 to 1899 µs/ })).toBeVisible();
  // Unequal ends need a centre of their own, which a span at the board does not have.
  const advised = page.getByRole('listitem', { name: 'At the transmitter', exact: true });
  await expect(advised).toContainText('advised');
  await advised.getByRole('button', { name: 'Ends at the transmitter' }).press('Enter');
  await expect(wrong("The sticks do not use the board's travel")).toHaveCount(0);
});

test('the keyboard alone measures the sticks of a craft and puts order, direction and ends right', async ({
  craft,
}) => {
  const page = await craft('gannet', 'board?part=measure');
  const routine = page.getByRole('group', { name: 'Guided routine' });
  // A key that is held repeats; a stick with a spring comes back when it is let go.
  const hold = async (key: string) => {
    for (let i = 0; i < 20; i++) await page.keyboard.down(key);
  };
  await page.getByRole('button', { name: 'Measure the sticks, guided' }).press('Enter');
  await page.keyboard.press('Control+.');
  for (const [stick, one, other] of [
    ['throttle', 'w', 's'],
    ['roll', 'ArrowRight', 'ArrowLeft'],
    ['pitch', 'ArrowUp', 'ArrowDown'],
    ['yaw', 'd', 'a'],
  ] as const) {
    await expect(routine).toContainText(`Move ${stick} fully`);
    await hold(one);
    await expect(routine).toContainText(`Now ${stick} to its other end`);
    await page.keyboard.up(one);
    await hold(other);
    await expect(routine).toContainText(stick === 'throttle' ? 'Leave throttle' : `Let ${stick} go`);
    await page.keyboard.up(other);
  }
  await expect(page.getByText('Everything is known.')).toBeVisible();
  const wrong = (title: string) => page.getByRole('article').filter({ hasText: title });
  await page.getByRole('button', { name: 'Board reads T A R E; Yaw runs straight again' }).press('Enter');
  await expect(wrong('Pitch arrives as yaw')).toHaveCount(0);
  await expect(wrong('Yaw runs the wrong way')).toHaveCount(0);
  await page.getByRole('button', { name: 'Read all at once' }).press('Enter');
  await expect(page.getByText('Order and directions are right.')).toBeVisible();
  await page.getByRole('button', { name: 'Work it out' }).press('Enter');
  // The finding beside it offers the same.
  await page.getByRole('button', { name: 'Ends at the transmitter', exact: true }).first().press('Enter');
  await expect(wrong("The sticks do not use the board's travel")).toHaveCount(0);
});

test('the keyboard alone measures the switches', async ({ craft }) => {
  const page = await craft('wren', 'board?part=measure');
  const routine = page.getByRole('group', { name: 'Guided routine' });
  await page.getByRole('button', { name: 'Measure the switches, guided' }).press('Enter');
  await page.keyboard.press('Control+.');
  for (const [words, key] of [
    ['Put Left shoulder at far', '1'],
    ['Put Left shoulder at safe', '1'],
    ['Put Right front, inner at mid', '5'],
    ['Put Right front, inner at far', '5'],
    ['Put Right front, inner at safe', '5'],
  ] as const) {
    await expect(routine).toContainText(words);
    await page.keyboard.press(key);
  }
  await expect(page.getByText('5 positions measured; each switches what is planned.')).toBeVisible();
});

test('measured positions are compared with the plan, and the bands fitted to them', async ({ craft }) => {
  const page = await craft('sandpiper', 'board?part=measure');
  await page.getByRole('radio', { name: 'a recording of the wire' }).check();
  await page.getByRole('button', { name: 'Record the simulated receiver' }).click();
  await expect(page.getByText('14 positions measured; each switches what is planned.')).toBeVisible();
  const arm = page.getByRole('listitem', { name: 'Left shoulder', exact: true });
  await arm.getByLabel(/^far/).fill('1690');
  await arm.getByLabel('Trembles by').fill('4');
  await page.keyboard.press('Enter');
  await expect(arm).toContainText('Arm is off here');
  await page.getByRole('button', { name: 'Fit bands to the measurement' }).click();
  await expect(page.getByText('14 positions measured; each switches what is planned.')).toBeVisible();
  // What no switch can give is refused by name.
  await arm.getByLabel(/^safe/).fill('1690');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Left shoulder safe');
  await expect(page.getByRole('alert')).toContainText('cannot be told apart');
});

test('a symptom leads to its cause and away again', async ({ craft }) => {
  const page = await craft('sandpiper', 'board?part=symptoms');
  await page.getByText('The picture spins although no stick is touched').click();
  const causes = page.getByRole('region', { name: 'The picture spins although no stick is touched' });
  await expect(causes.getByRole('listitem').first()).toContainText('this setup does it');
  await causes.getByRole('button', { name: 'Board reads T A E R' }).click();
  await expect(causes.getByRole('listitem').first()).toContainText('look at it');
});

test('what the board shows is typed in, and the ends are put right in one place', async ({ craft }) => {
  const page = await craft('gannet', 'board?part=measure');
  await page.getByRole('button', { name: 'Read all at once' }).click();
  await expect(page.getByText('Everything is known.')).toBeVisible();
  const pitch = page.getByRole('listitem', { name: 'pitch' }).last();
  await pitch.getByLabel('Lowest').fill('1100');
  await pitch.getByLabel('Highest').fill('1890');
  await page.getByRole('button', { name: 'Work it out' }).click();
  const board = page.getByRole('listitem', { name: 'At the board', exact: true });
  await expect(board).toContainText('span of pitch: 1100 to 1890 µs');
  await page.getByRole('button', { name: 'Record this measurement' }).click();
  await expect(page.getByText('stands', { exact: true })).toBeVisible();
  await board.getByRole('button', { name: 'Spans at the board' }).click();
  await expect(page.getByText("stale: changed since is the board's spans")).toBeVisible();
  await page.getByRole('tab', { name: 'Settings' }).click();
  await expect(page.getByText('Scales pitch from 1100 µs to 1890 µs.')).toBeVisible();
  await page.getByRole('tab', { name: 'Measure' }).click();
  const again = page.getByText('Measure again before you correct anything else');
  await expect(again).toBeVisible();
  await page.getByRole('button', { name: 'Read all at once' }).click();
  await expect(again).toBeHidden();
  // What cannot be measured is refused by name.
  await pitch.getByLabel('Lowest').fill('1700');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('alert')).toContainText('pitch');
});

test('a real board is measured by typing what it shows, step by step', async ({ craft }) => {
  const page = await craft('wren', 'board?part=measure');
  await page.getByRole('radio', { name: 'my own board, typed' }).check();
  await page.getByRole('button', { name: 'Type the sticks' }).press('Enter');
  const routine = page.getByRole('group', { name: 'Guided routine' });
  const type = async (prompt: string, value: string) => {
    await expect(routine).toContainText(prompt);
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
  };
  await type('Move throttle fully up', '2004');
  await type('Now throttle to its other end', '1996');
  await expect(routine.getByRole('alert')).toContainText('1996 µs is too near to what was read before');
  await routine.getByLabel('It shows').fill('1003');
  await page.keyboard.press('Enter');
  await type('Leave throttle where it is', '1003');
  // Roll answers on the bar of pitch, the wrong way round; the browser is loaded anew in between.
  await expect(routine).toContainText('Move roll fully');
  await page.reload();
  await routine.getByLabel('The bar that moved').selectOption('pitch');
  await routine.getByLabel('It shows').fill('1004');
  await page.keyboard.press('Enter');
  await type('Now roll to its other end', '1999');
  await type('Let roll go', '1504');
  await expect(routine).toContainText('Move pitch fully');
  await routine.getByRole('button', { name: 'Leave this one out' }).click();
  await expect(routine).toContainText('Move yaw fully');
  await routine.getByRole('button', { name: 'Leave this one out' }).click();
  await expect(page.getByText('On the table: what you measured.')).toBeVisible();
  await expect(page.getByText('roll arrives as pitch, the wrong way')).toBeVisible();
  const pitch = page.getByRole('listitem', { name: 'pitch', exact: true }).last();
  await expect(pitch.getByLabel('Let go')).toHaveValue('1504');

  // It is still there after a look at another part, and is compared with the plan.
  await page.getByRole('tab', { name: 'Compare' }).click();
  await page.getByRole('radio', { name: 'my own craft, measured' }).check();
  await expect(page.getByRole('rowgroup', { name: 'Channel 1', exact: true })).toContainText(
    "Moving roll, the board's pitch answers, not its roll. A recording of the wire would tell",
  );
  await page.getByRole('button', { name: 'Record the simulated receiver' }).click();
  await expect(page.getByRole('rowgroup', { name: 'Channel 1', exact: true })).not.toContainText('would tell');
  await expect(page.getByRole('rowgroup', { name: 'Channel 4', exact: true })).toContainText('as planned');

  // Recorded, it can be put back on the table as long as it stands.
  await page.getByRole('tab', { name: 'Measure' }).click();
  await page.getByRole('button', { name: 'Record this measurement' }).click();
  await expect(page.getByText('stands', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(page.getByText('roll arrives as pitch, the wrong way')).toHaveCount(0);
  // By key: what was on the table goes away above it.
  await page.getByRole('button', { name: 'Put on the table again' }).press('Enter');
  await expect(page.getByText('roll arrives as pitch, the wrong way')).toBeVisible();

  // What is changed on the way makes it stale, also where it is recorded later.
  await page.getByRole('tab', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'Change: Sticks' }).click();
  await page.getByLabel('Map: reads channels 1 to 4 as').selectOption('TAER');
  await page.getByRole('tab', { name: 'Measure' }).click();
  await expect(page.getByText('Measure again before you correct anything else')).toBeVisible();
  await page.getByRole('button', { name: 'Record this measurement' }).click();
  await expect(page.getByText("stale: changed since is the board's map")).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Put on the table again' })).toHaveCount(0);
});
