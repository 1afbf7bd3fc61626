export const rows: readonly string[] = [];
