import type { FilmOver } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import type { Ground } from '@/core/coat';
import type { MapDrawing } from './mapModel';
import type { FieldState } from './useFilmField';

/** Film of a cell at a rim over the greatest: the film itself ends there. */
const AT_THE_RIM = 0.3;

/** What the map adds up to, so that it can be held against the ledger. */
export function mapExplanation(drawing: MapDrawing, over: FilmOver): Explanation {
  const film = (label: string, value: number) =>
    ({ label, value, quantity: 'film', source: 'computed' }) as const;
  return {
    title: 'Resin on the map',
    formula: '∫ film dA; film = mean · u/m + wedge + sag, u − lc² ∇²u = 1, u = 0 at open rims',
    inputs: [
      film('mean film that stays', over.thicknessM),
      film('the tilt adds on the mean', over.wedgeM),
      film('the belly adds on the mean', over.bellyMeanM),
      film('least', drawing.leastM),
      film('greatest', drawing.greatestM),
    ],
    source:
      'Linear capillary statics on a grid, solved in a worker; same wedge and sag as the ledger.',
    note: 'Room that relief takes, walls, edges, cup and reserve are in the ledger, not on the map.',
  };
}

/** What the map shows, in a sentence. */
export function mapWords(
  area: Pick<Ground, 'name'>,
  state: FieldState,
  drawing: MapDrawing | null,
  over: FilmOver,
  coverage: number,
  { film, share }: { readonly film: (m: number) => string; readonly share: string },
): string {
  if (coverage < 1) return `${film(over.thicknessM)} on ${share} of ${area.name}`;
  if (state.is === 'failed') return `No map: ${state.why}`;
  if (!drawing) return 'Solving …';
  const { leastM, greatestM, bands } = drawing;
  if (bands.length === 0) return `Even: ${film(greatestM)} everywhere`;
  return leastM < AT_THE_RIM * greatestM
    ? `From nothing at the rim to ${film(greatestM)}`
    : `From ${film(leastM)} near the rim to ${film(greatestM)}`;
}
