import { migrate, tablesOf, type AnyTables } from '.';
import v15 from './fixtures/v15.json';

describe('version 16: many entries of the log at once lie in pages', () => {
  it('changes no row, and no table of a file', () => {
    const before = v15.tables as unknown as AnyTables;
    expect(migrate(before, 15)).toEqual(before);
    expect(tablesOf(16)).toEqual(tablesOf(15));
  });
});
