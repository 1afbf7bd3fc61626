import { expect, openDemo, openPiece, reloadStored, stayWhenAsked, test } from './bench';

test('while a change is not stored yet, the browser asks before it lets go of the page', async ({
  page,
}) => {
  await openDemo(page);
  await openPiece(page, 'Viaduct painting', 'coats');
  const slider = page.getByRole('slider', { name: /^Thickness of/ });
  await slider.focus();
  // A connection of its own keeps the coats busy until it is let go.
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
  const field = page.getByLabel('Film thickness');
  const before = await field.inputValue();
  await page.keyboard.press('PageUp');
  await stayWhenAsked(page);
  await page.evaluate(() => (window as unknown as { letGo: () => void }).letGo());
  await expect(field).not.toHaveValue(before);
  const after = await field.inputValue();
  await reloadStored(page);
  await expect(field).toHaveValue(after);
});
