import type { Allowed, Issue } from '@/core/result';
import { parseQuantity, type Quantity } from '@/core/units';
import { issueText } from './issueText';
import type { Format } from './useFormat';

/** Collects the messages of a form while its fields are read. NaN stands for what could not be read. */
export class FieldReader<F extends string> {
  readonly errors: Partial<Record<F, string>> = {};
  constructor(private readonly format: Format) {}

  quantity(field: F, text: string, quantity: Quantity, allowed: Allowed = {}): number {
    const parsed = parseQuantity(text, quantity, this.format.typed(quantity), allowed);
    if (parsed.ok) return parsed.value;
    const issue = parsed.issues[0];
    if (issue) this.issue(field, issue, quantity);
    return NaN;
  }

  whole(field: F, text: string, min: number, max: number): number {
    const value = /^\s*\d+\s*$/.test(text) ? Number(text) : NaN;
    if (value >= min && value <= max) return value;
    this.errors[field] = `A whole number from ${min} to ${max}.`;
    return NaN;
  }

  plain(field: F, text: string, min: number, max: number): number {
    const value = Number(text.trim().replace(',', '.'));
    if (text.trim() !== '' && value >= min && value <= max) return value;
    this.errors[field] = `A number from ${min} to ${max}.`;
    return NaN;
  }

  text(field: F, text: string, most: number): string {
    const value = text.trim();
    if (value === '') this.errors[field] = 'Needed.';
    if (value.length > most) this.errors[field] = `At most ${most} characters.`;
    return value;
  }

  issue(field: F, issue: Issue, quantity: Quantity): void {
    this.errors[field] ??= issueText(issue, quantity, this.format);
  }

  get sound(): boolean {
    return Object.keys(this.errors).length === 0;
  }
}
