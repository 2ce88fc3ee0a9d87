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
  await page.getByPlaceholder(/A control/).fill('camera');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('at-hands')).toHaveText('0%');
  await expect(page.getByTestId('at-model')).toHaveText('1551.2µs');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder(/A control/).fill('arrives as');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/board$/);
  await page.keyboard.press('Control+/');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Left stick up, down');
});

test('what is typed into a field moves no stick and is undone by the field', async ({ craft }) => {
  const page = await craft('wren', 'board');
  await page.getByLabel('Throttle is low below').pressSequentially('1');
  await expect(page.getByTestId('board-title')).toHaveText('Disarmed');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Saved, revision 1/ })).toBeVisible();
});
