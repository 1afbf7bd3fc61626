/** A row without one of its fields. */
export const without = <T extends object, K extends keyof T>(row: T, field: K): Omit<T, K> => {
  const rest: Partial<T> = { ...row };
  delete rest[field];
  return rest as Omit<T, K>;
};
