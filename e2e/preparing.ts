import type { Page } from '@playwright/test';
import { expect } from './bench';

/** A step of the path. */
export const step = (page: Page, name: string | RegExp) => page.getByRole('listitem', { name });
/** The chosen step in full. */
export const detail = (page: Page) => page.getByRole('region', { name: /^Step: / });
/** Chooses a step, so that it is shown in full. */
export const choose = (page: Page, name: string) =>
  step(page, name).locator('[aria-pressed]').click();
/** Titles of all steps, once the path stands. */
export const titles = async (page: Page) => {
  await expect(page.getByRole('region', { name: /^Before / }).first()).toBeVisible();
  return page
    .getByRole('listitem')
    .filter({ has: page.locator('[aria-pressed]') })
    .evaluateAll((all) => all.map((li) => li.getAttribute('aria-label') ?? ''));
};
