import { expect, test } from './fixtures';

test('the whole bench works from the keyboard, and only while it has the focus', async ({ craft }) => {
  const page = await craft('wren');
  const title = page.getByTestId('board-title');
  await page.keyboard.press('1');
  await expect(title).toHaveText('Disarmed');

  await page.keyboard.press('Control+.');
  await expect(page.locator('#dock')).toBeFocused();
  await page.keyboard.press('w');
  await expect(page.getByTestId('at-hands')).toHaveText('−90%');
  await page.keyboard.press('Shift+W');
  await expect(page.getByTestId('at-hands')).toHaveText('−89%');
  await page.keyboard.press('x');
  await page.keyboard.press('1');
  await expect(title).toHaveText('Armed');
  await expect(page.getByTestId('at-board')).toHaveText('Arm');
  await page.keyboard.press('l');
  await expect(title).toHaveText('No signal');
  await page.keyboard.press('l');
  await expect(title).toHaveText('Refused');
  await page.keyboard.press('1');
  await expect(title).toHaveText('Disarmed');
  await page.keyboard.press('b');
  await expect(title).toHaveText('No power');
  await page.keyboard.press('b');
  await expect(title).toHaveText('Disarmed');

  // A stick that is held down with a key springs back; the throttle stays.
  await page.keyboard.down('ArrowRight');
  await expect(page.getByTestId('at-hands')).toHaveText(/^\+\d+%$/);
  await page.keyboard.up('ArrowRight');
  await expect(page.getByTestId('at-hands')).toHaveText('0%');

  await page.keyboard.press('v');
  await expect(page.getByRole('dialog')).toContainText('Disarmed');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the palette finds controls, channels, findings and pages', async ({ craft }) => {
  const page = await craft('sandpiper');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/A control/).fill('channel camera');
  await page.getByRole('option', { name: /^Channel 8/ }).click();
  await expect(page.getByTestId('at-hands')).toHaveText('0%');
  await expect(page.getByTestId('at-model')).toHaveText('1551.2µs');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/A control/).fill('arrives as');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/board$/);
  // By a word of the trade that stands nowhere on the page.
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/A control/).fill('failsafe');
  await expect(page.getByRole('option')).toContainText([/Try the loss/, /Air/, /Board/, /Lose the link/]);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+/');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Left stick up, down');
});

test('what is typed into a field moves no stick and is undone by the field', async ({ craft }) => {
  const page = await craft('wren', 'board');
  await page.getByRole('button', { name: 'Change: Sticks' }).click();
  await page.getByLabel('Throttle is low below').pressSequentially('1');
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Saved, revision 1/ })).toBeVisible();
});

test('the board says which guard refuses: a tilted craft, a cable for configuration', async ({ craft }) => {
  const page = await craft('sandpiper', 'board');
  await page.getByRole('button', { name: 'Send A E T R' }).click();
  const board = page.getByRole('status', { name: 'The board says' });
  await expect(board).toContainText('Ready: Left shoulder arms.');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('t');
  await expect(board).toContainText('The craft is tilted by more than 30°.');
  await page.keyboard.press('1');
  await expect(page.getByTestId('board-title')).toHaveText('Refused');
  await page.keyboard.press('t');
  await page.keyboard.press('t');
  await expect(board).toContainText('The craft was tilted too far when Left shoulder went on.');
  await page.keyboard.press('1');
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.keyboard.press('u');
  await expect(board).toContainText('The board is connected for configuration.');
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: 'USB: unlocked' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(board).toContainText('Motors may idle');

  // The other school of disarming, chosen on the board station, waits for a low throttle.
  await page.getByRole('button', { name: 'Change: Arming' }).click();
  await page.getByLabel('The switch disarms').selectOption({ label: 'only with the throttle low' });
  await expect(page.getByTestId('board-title')).toHaveText('Refused');
  await page.keyboard.press('Control+.');
  await page.keyboard.press('1');
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.keyboard.press('1');
  await expect(page.getByTestId('board-title')).toHaveText('Armed');
  await page.keyboard.press('w');
  await expect(board).toContainText('Motors may turn');
  await page.keyboard.press('1');
  await expect(board).toContainText('this board disarms only with the throttle low');
  await page.keyboard.press('s');
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
});

test('a slider under fast keys misses none of them', async ({ craft }) => {
  const page = await craft('sandpiper', 'return');
  const slider = page.getByLabel(/ at the craft$/).first();
  const numbers = () =>
    slider.evaluate((e: HTMLInputElement) => ({ value: Number(e.value), low: Number(e.min), step: Number(e.step) }));
  await slider.press('Home');
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowRight');
  const { value, low, step } = await numbers();
  expect(value).toBeCloseTo(low + 40 * step, 6);
});
