import type { Page } from '@playwright/test';
import { dragStick, expect, test } from './fixtures';

const looked = (page: Page) => page.getByRole('status', { name: 'Looked ahead' });

test('a fix is looked at before it is made: under the pointer, with the focus, and nothing is saved', async ({
  craft,
}) => {
  const page = await craft('sandpiper');
  const fix = page
    .getByRole('article')
    .filter({ hasText: 'Throttle arrives as roll' })
    .getByRole('button', { name: 'Send A E T R' });
  await expect(page.getByTestId('at-board')).toHaveText('roll');
  await fix.hover();
  await expect(looked(page)).toContainText('If you do this: Send A E T R');
  await expect(looked(page)).toContainText('Board roll becomes throttle');
  await expect(looked(page)).toContainText('Puts rightThrottle arrives as roll');
  await expect(page.getByTestId('at-board')).toHaveText('throttle');
  await expect(page.getByRole('navigation', { name: 'Path' })).toContainText('now roll');
  // It is proven on a copy, and the proof of the craft itself stays what it is.
  await expect(looked(page)).toContainText('Keeps besides: Powering on in the start positions is quiet', {
    timeout: 240_000,
  });
  await page.mouse.move(0, 0);
  await expect(looked(page)).toBeEmpty();
  await expect(page.getByTestId('at-board')).toHaveText('roll');
  await expect(page.getByText('Saved · revision 1')).toBeVisible();
  // The same from the keyboard, and then it is made.
  await page.getByRole('button', { name: 'Board reads T A E R' }).focus();
  await page.keyboard.press('Shift+Tab');
  await expect(looked(page)).toContainText('Send A E T R');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved · revision 2')).toBeVisible();
  await expect(page.getByTestId('at-board')).toHaveText('throttle');
  await expect(looked(page)).toBeEmpty();
});

test('a value that is typed shows what it would change, until it is saved or taken back', async ({ craft }) => {
  const page = await craft('sandpiper');
  const ends = page.getByRole('row', { name: /^2 Roll/ }).getByRole('button', { name: /^ends/ });
  await ends.click();
  const high = page.getByRole('region', { name: 'Output stage of channel 2' }).getByLabel('High end');
  await high.fill('60');
  await expect(looked(page)).toContainText('Roll at +100 %: Model 2012.0 µs becomes 1807.2 µs');
  await high.press('Escape');
  await expect(looked(page)).toBeEmpty();
  await expect(high).toHaveValue('100');
  // What cannot be is not drawn.
  const refused = page.waitForResponse((r) => r.url().includes('/look-ahead') && r.status() === 400);
  await high.fill('400');
  await refused;
  await expect(looked(page)).toBeEmpty();
  await high.fill('60');
  await high.press('Enter');
  await expect(ends).toHaveText('ends −100 / +60 %');
  // Its editor is beside the chain; it closes with Escape, and the focus is where it was opened.
  await high.press('Escape');
  await expect(high).toHaveCount(0);
  await expect(ends).toBeFocused();
});

test('what a band or a limit would keep and lose is seen while it is typed', async ({ craft }) => {
  const page = await craft('wren', 'board');
  const from = page.getByLabel('Arm is active from');
  const kept = await from.inputValue();
  // Above what the switch gives it arms no more.
  await from.fill('2075');
  await expect(looked(page)).toContainText('Left shoulder far: Board Arm becomes off, Craft armed becomes disarmed');
  await expect(looked(page)).toContainText('Would no longer keep', { timeout: 240_000 });
  await from.press('Escape');
  await expect(looked(page)).toBeEmpty();
  await expect(from).toHaveValue(kept);
  await expect(page.getByText('Saved · revision 1')).toBeVisible();
});

test('the last minute is wound back and forth, and nothing is moved meanwhile', async ({ craft }) => {
  const page = await craft('wren');
  const board = page.getByTestId('board-title');
  await expect(board).toHaveText('Disarmed');
  await page.getByRole('button', { name: 'Left shoulder far' }).click();
  await expect(board).toHaveText('Armed');
  // It is said when telemetry brings it, and the stick is to be followed after that.
  await expect(page.getByText('“Armed”')).toBeVisible();
  await dragStick(page, 'left', 0, 40);
  await expect(page.getByTestId('at-hands')).toHaveText('+40%');
  await page.getByRole('button', { name: 'Left shoulder safe' }).click();
  await expect(board).toHaveText('Will not arm');

  await page.keyboard.press('Alt+l');
  const minute = page.getByRole('region', { name: 'The last minute' });
  const slider = minute.getByRole('slider');
  await expect(slider).toBeFocused();
  const back = minute.getByRole('button', { name: 'What happened before' });
  const last = minute.getByText(/s ago: /);
  await back.click();
  while (!(await last.textContent())?.endsWith('Armed')) await back.click();
  // The moment at which it armed: all that is drawn is of then.
  await expect(board).toHaveText('Armed');
  await expect(page.getByTestId('at-hands')).toHaveText('far');
  await expect(page.getByTestId('at-craft')).toContainText('armed');
  await expect(slider).toHaveAttribute('aria-valuetext', /seconds ago\. Armed\. Armed$/);
  // What was said of it came a little later.
  await expect
    .poll(async () => {
      await slider.press('ArrowLeft');
      return board.textContent();
    })
    .toBe('Disarmed');
  await expect(page.getByRole('button', { name: 'Left shoulder far' })).toBeDisabled();
  await slider.press('End');
  await expect(board).toHaveText('Will not arm');
  await expect(page.getByTestId('at-hands')).toHaveText('safe');
  await slider.press('Home');
  await slider.press('Escape');
  await expect(minute).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Look back' })).toBeFocused();
  await expect(board).toHaveText('Will not arm');
  await page.getByRole('button', { name: 'Left shoulder far' }).click();
  await expect(board).toHaveText('Refused');
});
