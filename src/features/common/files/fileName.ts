/** A name that every file system takes: letters and figures of any script, hyphens for the rest. */
export const fileName = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();
