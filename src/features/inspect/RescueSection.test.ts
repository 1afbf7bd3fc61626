import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { pieceViews } from '@/shop/coatView';
import { demoView, NOW } from '../test/shop';
import { RescueSection } from './RescueSection';

const viaduct = pieceViews(demoView(), NOW).find((v) => v.piece.name === 'Viaduct painting');
const coats = (viaduct?.coats ?? []).filter((c) => c.clock);

/** Boxes (ground and films) and marks of the fault, now and after. */
function drawn(left: number, spot: boolean) {
  const svg = renderToStaticMarkup(
    createElement(RescueSection, {
      ...{ coats, left, spot, filmM: 1.5e-3, depthM: 5e-4, ground: 'none', title: 'Section' },
    }),
  );
  return svg
    .split('<g ')
    .slice(1)
    .map((column) => [column.split('<rect').length - 1, column.split('<path').length - 1]);
}

it('what is stripped is gone from the picture after, fault and all; what is laid over stays', () => {
  expect(coats).toHaveLength(2);
  const now = [3, 1];
  expect(drawn(2, false)).toEqual([now, [4, 1]]);
  expect(drawn(2, true)).toEqual([now, now]);
  expect(drawn(1, false)).toEqual([now, [3, 0]]);
  expect(drawn(0, false)).toEqual([now, [2, 0]]);
});
