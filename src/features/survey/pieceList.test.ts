import { METRIC, US } from '../test/shop';
import { LIST_MOST, readPieceList } from './pieceList';

const rowsOf = (text: string, format = METRIC) => readPieceList(text, format).rows;
const sizes = (text: string, format = METRIC) =>
  rowsOf(text, format).map((r) => r.survey?.areas[0]?.shape);

describe('a list of pieces', () => {
  it('is read by RFC 4180: quotes, commas and line breaks in cells, with or without a last line end', () => {
    const text = 'name,width,depth,note\r\n"Board, ""long""",300,200,"two\r\nlines"';
    expect(rowsOf(text)[0]?.survey).toMatchObject({ name: 'Board, "long"', note: 'two\r\nlines' });
    expect(rowsOf(`${text}\r\n`)).toHaveLength(1);
  });
  it('takes the unit of a cell, of its head, or of the shop, in this order', () => {
    expect(sizes('name,width,depth\nA,12 in,20 cm')[0]).toMatchObject({
      widthM: expect.closeTo(0.3048, 9) as number,
      heightM: expect.closeTo(0.2, 9) as number,
    });
    expect(sizes('name,width_m,depth (in)\nA,0.3,4')[0]).toMatchObject({
      widthM: expect.closeTo(0.3, 9) as number,
      heightM: expect.closeTo(0.1016, 9) as number,
    });
    expect(sizes('name,width,depth\nA,10,4', US)[0]).toMatchObject({
      widthM: expect.closeTo(0.254, 9) as number,
      heightM: expect.closeTo(0.1016, 9) as number,
    });
    expect(sizes('name,diameter\nA,90')[0]).toMatchObject({ kind: 'disc', diameterM: 0.09 });
  });
  it('says of each row what is wrong, and takes the others', () => {
    const rows = rowsOf(
      'name,count,support,width,depth\nGood,2,tile,100,100\n,1,tile,100,100\nWide,1,tile,far,100\nOdd,1,jelly,100,100\nMany,many,tile,100,100',
    );
    expect(rows.map((r) => r.survey !== null)).toEqual([true, false, false, false, false]);
    expect(rows[0]?.survey).toMatchObject({ count: 2, support: 'tile' });
    expect(rows.map((r) => r.line)).toEqual([2, 3, 4, 5, 6]);
    const words = rows.map((r) => r.faults.join(' '));
    expect(words[1]).toMatch(/^name: /);
    expect(words[2]).toMatch(/^width: /);
    expect(words[3]).toMatch(/^support: one of tile, /);
    expect(words[4]).toMatch(/^count: /);
  });
  it('takes bare wood where nothing is said: that is sealed first, which harms nothing', () => {
    expect(rowsOf('name,width,depth\nA,100,100')[0]?.survey?.support).toBe('bare wood');
  });
  it('names columns that it does not read, and stops at its most', () => {
    const many = `name,width,depth,colour\n${'A,100,100,red\n'.repeat(LIST_MOST + 5)}`;
    const list = readPieceList(many, METRIC);
    expect(list.ignored).toEqual(['colour']);
    expect(list.rows).toHaveLength(LIST_MOST);
    expect(readPieceList('', METRIC).rows).toEqual([]);
  });
});
