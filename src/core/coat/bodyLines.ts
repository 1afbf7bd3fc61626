import { drawn } from './drawnLine';
import { bead, edges, runOff } from './edgeLines';
import { dome, face, recess, relief, soak } from './faceLines';
import type { BodyLine } from './lineParts';
import { belly, meniscus, wedge } from './rimLines';

/** Every line of what lies on the piece or runs off it, in the order they are told. */
export const BODY_LINES: readonly BodyLine[] = [
  face,
  dome,
  relief,
  recess,
  soak,
  meniscus,
  wedge,
  belly,
  edges,
  bead,
  runOff,
  drawn,
];
