import type { Page } from '@playwright/test';
import { expect, openAt, reloadStored, stayWhenAsked, test, untilStored } from './bench';

/** A connection of its own keeps the coats busy until it is let go. @returns lets go */
async function holdCoats(page: Page): Promise<() => Promise<void>> {
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('bilamina');
        request.onsuccess = () => {
          const store = request.result.transaction('coats', 'readwrite').objectStore('coats');
          let held = true;
          Object.assign(window, { letGo: () => (held = false) });
          const again = () => {
            resolve();
            if (held) store.count().onsuccess = again;
            else request.result.close();
          };
          again();
        };
      }),
  );
  return () => page.evaluate(() => (window as unknown as { letGo: () => void }).letGo());
}

test('while a change is not stored yet, the browser asks before it lets go of the page', async ({
  page,
}) => {
  await openAt(page, 'Viaduct painting', 'coats');
  const slider = page.getByRole('slider', { name: /^Thickness of/ });
  await slider.focus();
  const letGo = await holdCoats(page);
  const field = page.getByLabel('Film thickness');
  const before = await field.inputValue();
  await page.keyboard.press('PageUp');
  await stayWhenAsked(page);
  await letGo();
  await expect(field).not.toHaveValue(before);
  const after = await field.inputValue();
  await reloadStored(page);
  await expect(field).toHaveValue(after);
});

test('what is chosen while a drag is still being stored stays chosen', async ({ page }) => {
  await openAt(page, 'Viaduct painting', 'coats');
  const letGo = await holdCoats(page);
  await page.getByRole('slider', { name: /^Thickness of/ }).focus();
  await page.keyboard.press('PageUp');
  const choice = page.getByLabel('It is to');
  await choice.selectOption('natural');
  // Every value that the field shows from now on.
  await choice.evaluate((select: HTMLSelectElement) => {
    const shown = new Set<string>();
    Object.assign(window, { shown });
    const look = () => {
      shown.add(select.value);
      setTimeout(look, 1);
    };
    look();
  });
  await letGo();
  await untilStored(page);
  expect(
    await page.evaluate(() => [...(window as unknown as { shown: Set<string> }).shown]),
  ).toEqual(['natural']);
  await reloadStored(page);
  await expect(choice).toHaveValue('natural');
});
