import type { Locator, Page } from '@playwright/test';

/** What is pressed in several tests, by role and name: a word that changes on screen changes here, in one place. */
const WORDS = {
  addRelief: ['button', 'Add relief'],
  addTheStep: ['button', 'Add the step'],
  addToAWetSession: ['link', 'Add to a wet session'],
  addToTheBench: ['button', 'Add to the bench'],
  maskIsOn: ['link', 'A mask is still on it'],
  areaOfOneFace: ['button', /Area of one face/],
  backUpNow: ['button', 'Back up now'],
  book: ['link', 'Book'],
  chooseIt: ['button', 'Choose it: put it on the plan'],
  edges: ['tab', 'Edges'],
  emptyTheShop: ['button', /Empty the shop/],
  exportTheWholeShop: ['button', /Export the whole shop/],
  face1: ['button', 'Face 1'],
  fillSheet: ['button', 'Fill the sheet from the label'],
  dimples: ['button', /^Finding 2: Dimples/],
  findTheEdge: ['button', /Find the edge/],
  foundOnReliefMap: ['button', 'Found something on Relief map'],
  itLeaves: ['button', 'It leaves: close its record'],
  itIsGone: ['button', 'Looked again: it is gone'],
  noteIt: ['button', 'Note it in the log'],
  noteThatTime: ['button', 'Note that time'],
  piece: ['tab', 'Piece'],
  pieces: ['link', 'Pieces'],
  places: ['navigation', 'Places'],
  planAnotherCoat: ['button', 'Plan another coat'],
  planThisCoat: ['button', 'Plan this coat'],
  prepareFirst: ['link', /Prepare first/],
  recess1: ['button', 'Recess 1', true],
  room: ['link', 'Room', true],
  saveTheSettings: ['button', 'Save the settings'],
  saveTheSheet: ['button', 'Save the sheet'],
  saveTheSurvey: ['button', 'Save the survey'],
  showAll: ['button', 'Show all'],
  stagesOfThePiece: ['navigation', 'Stages of the piece'],
  surface: ['tab', 'Surface'],
  sensorOn: ['button', 'Switch the simulated sensor on'],
  takeItIn: ['button', 'Take it in'],
  takeCoatOff: ['button', 'Take this coat off the plan'],
  theScaleShows: ['button', /The scale shows/],
  today: ['link', 'Today'],
  tryAgain: ['button', 'Try again'],
  undo: ['button', /Undo/],
} as const satisfies Record<
  string,
  readonly [
    role: 'button' | 'link' | 'tab' | 'checkbox' | 'navigation',
    name: string | RegExp,
    exact?: true,
  ]
>;

/** Finds what is pressed on a page, or within a part of it. */
export function key(on: Page | Locator, word: keyof typeof WORDS): Locator {
  const [role, name, exact] = WORDS[word];
  return on.getByRole(role, { name, exact: exact ?? false });
}
