export { REACH_M, type CutLine } from './chords';
export { joinRegions } from './joinRegions';
export { partition, type FaceCut, type Partition } from './partition';
export { placeOutline, type PlaceOutline } from './placeOutline';
export {
  cutOfMark,
  loopPath,
  markOfCut,
  regionArea,
  type Loop,
  type Region,
  type Stretch,
} from './region';
export { sidedFace } from './sidedFace';
