export { NewPieceScreen } from './NewPieceScreen';
export { SurveyScreen } from './SurveyScreen';
