import { key } from './words';
import type { Locator, Page } from '@playwright/test';
import { expect, openDemo } from './bench';

export const area = (page: Page) => key(page, 'areaOfOneFace');
export const build = (page: Page) => page.getByRole('group', { name: 'Coats, topmost first' });
export const section = (page: Page) =>
  page.getByRole('group', { name: /^Section, heights enlarged/ });
export const ledger = (page: Page, coat: string) =>
  page.getByRole('region', { name: `Ledger of ${coat}` });

/** Presses Tab until a control has the focus, and types or picks there: no mouse. */
export async function goTo(page: Page, control: Locator): Promise<void> {
  await expect(control).toBeVisible();
  for (let i = 0; i < 120; i += 1) {
    if (await control.evaluate((node) => node === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('not reached by Tab');
}
export const typeIn = async (page: Page, label: string, text: string): Promise<void> => {
  await goTo(page, page.getByLabel(label, { exact: true }));
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(text);
};
export const press = async (page: Page, control: Locator): Promise<void> => {
  await goTo(page, control);
  await page.keyboard.press('Enter');
};
export const named = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name }).first();
/** Picks an option of the select that has the focus by its first letters. */
export const pick = async (
  page: Page,
  label: string,
  letters: string,
  value: string,
): Promise<void> => {
  const select = page.getByLabel(label, { exact: true });
  await goTo(page, select);
  await page.keyboard.type(letters);
  await expect(select).toHaveValue(value);
};

export async function startPiece(page: Page, name: string, widthMm: number, heightMm: number) {
  await openDemo(page, '/pieces/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Width', { exact: true }).fill(`${widthMm} mm`);
  await page.getByLabel('Height', { exact: true }).fill(`${heightMm} mm`);
}
export async function allEdges(page: Page, kind: string, heightText?: string) {
  await key(page, 'edges').click();
  await page.getByRole('button', { name: `All edges ${kind}` }).click();
  if (heightText) {
    await page.getByLabel(`Height of the ${kind}`).fill(heightText);
    await page.getByRole('button', { name: 'Thickness and profile to all edges' }).click();
  }
  await key(page, 'piece').click();
}
export async function cutOff(page: Page, how: string, size: string) {
  await page.getByLabel('Cut off').selectOption({ label: how });
  await page.getByLabel(/How far in|Width of the strip/).fill(size);
  await page.getByRole('button', { name: 'Cut', exact: true }).last().click();
}
export async function nameIt(page: Page, name: string) {
  await page.getByLabel('Name of this place').fill(name);
}
export const places = (page: Page) => page.getByRole('group', { name: 'Areas of the piece' });

export async function planCoat(
  page: Page,
  coat: { name: string; kind?: string; on?: readonly string[]; film?: string; intent?: string },
) {
  const again = key(page, 'planAnotherCoat');
  await expect(again.or(page.getByLabel('Coat', { exact: true })).first()).toBeVisible();
  if (await again.isVisible()) await again.click();
  if (coat.kind) await page.getByLabel('Kind', { exact: true }).selectOption(coat.kind);
  await page.getByLabel('Coat', { exact: true }).fill(coat.name);
  await page.getByLabel('Resin', { exact: true }).selectOption({ label: 'Millrace Clear' });
  const form = page.locator('form').filter({ has: page.getByLabel('Coat', { exact: true }) });
  if (coat.on) {
    const boxes = form.getByRole('group', { name: 'On which areas' }).getByRole('checkbox');
    for (const box of await boxes.all()) await box.setChecked(false);
    for (const place of coat.on)
      await form
        .getByRole('group', { name: 'On which areas' })
        .getByLabel(place, { exact: true })
        .check();
  }
  if (coat.intent || coat.film)
    await form.getByLabel('It is to').selectOption(coat.intent ?? 'given');
  if (coat.film) await form.getByLabel('Film thickness').fill(coat.film);
  return form;
}
export const submit = async (page: Page, form: Locator, name: string) => {
  await key(form, 'planThisCoat').click();
  await expect(ledger(page, name)).toBeVisible();
};
