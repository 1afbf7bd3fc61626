/** What a number is, in one plain sentence, by the title of its explanation. */
const PLAIN: Readonly<Record<string, string>> = {
  'Area of one face': 'How large the face is that gets resin; what stays bare is left out.',
  'Area of the edges, unrolled': 'The upright edges laid flat: their height times their length.',
  'Area to sand': 'What the paper has to go over.',
  'Area traced from the photo':
    'The outline that was marked in the photo, at the scale of the sheet beside it.',
  'Bead under the edge': 'A row of drops hangs under each open edge and stays there.',
  'Belly of the canvas': 'The middle hangs: resin gathers there and fills the hollow first.',
  'Climbs the walls': 'Resin creeps up a wall a little, and that is not on the face.',
  'Coat against its wall': 'Whether the wall is higher than the coat that is poured against it.',
  'Coat over the line': 'Whether the coat stays below the line or covers it.',
  'Cost of all coats': 'What the resin, the cups and the gloves of all coats come to.',
  'Cost of the coat': 'The resin at its price, and the cups, sticks and gloves.',
  'Dew point': 'A surface as cold as this gets wet from the air of the room.',
  'Dome inside its rim': 'A rim holds the resin, so that it stands higher in the middle.',
  'Dome on this outline': 'How high resin may stand before it runs over this edge.',
  'Drawn line': 'Its length times what lies on each bit of it.',
  'Film on the face': 'The flat of the face times the film that lies on it.',
  'Film on the open edges': 'What stays on an upright edge once the rest has run down.',
  'Film that open edges hold':
    'Poured thicker, resin runs over an open edge; thinner, it draws back from it.',
  'Fills the recess': 'What the recess holds up to the height of this coat.',
  'How level is level enough':
    'Up to this slope the film stays even enough until the resin stops flowing.',
  'Largest bubble that stays': 'Larger ones rise out by themselves while the resin is thin.',
  'Length of the edge': 'Once round the face.',
  'Limits of one lift':
    'Thinner it does not level, thicker it heats itself: what one pour may be by its sheet.',
  'Mix for this batch': 'All that goes into this cup: what lies, what is lost, and the reserve.',
  'Mix for this coat': 'All that is mixed: what lies, what is lost, and the reserve.',
  'Number of lifts': 'In how many pours this film goes on.',
  'Out of level': 'How much lower one side lies than the other.',
  'Relief against the coat': 'How much of the relief is buried when the coat lies.',
  Reserve: 'Mixed over the sum, so that the cup does not run short.',
  'Resin on the map': 'The film of the whole map, added up.',
  'Room that relief takes': 'What stands in the coat takes the place of resin.',
  'Runs into the recess': 'What flows into the recess and is not on the face.',
  'Runs off open edges': 'What is poured and lost over the edges before it stops.',
  'Soaks into the ground': 'What porous ground drinks before a film stays on it.',
  'Speed of drying against the label': 'How fast things dry in this room; 1 is as the label says.',
  'Stays on cup and stick': 'What clings to the cup and the stick and is never poured.',
  'Stays on cup, stick and glove': 'What clings to cup, stick and glove and is never poured.',
  'Time under the lamp': 'How long this much UV resin wants under the lamp.',
  'Volume of part A': 'What is poured of A, in the ratio of the sheet.',
  'Volume of part B': 'What is poured of B, in the ratio of the sheet.',
  'Volume that the recess holds': 'What fills the recess to its brim.',
  'Weight of part A': 'What is weighed of A, in the ratio of the sheet by weight.',
  'Weight of part B': 'What is weighed of B, in the ratio of the sheet by weight.',
  'Wets the edges': 'What wets the upright edges on its way down.',
  'What is left of a wave': 'How much of a wave is still there when the resin stops flowing.',
  'Working time in the cup': 'So long this much can be worked in its cup, in this room.',
  'Worst ratio error from the scale':
    'The scale rounds: with so little in the cup the ratio may be off by this much.',
  'Your rule of thumb': 'What the rule gives for a face of this size.',
};

/** The same by how a title begins, where it names what it is about. */
const BEGINS: readonly (readonly [start: string, words: string])[] = [
  ['Dry: ', 'How long it dries in this room before the next thing may lie on it.'],
  ['Learned from ', 'What your own pours took more or less than was planned.'],
  ['Scratch of ', 'How deep this paper scratches; the next finer one has to take that out.'],
  ['What this tilt makes of ', 'How much thicker the film gets on the low side.'],
];

/** A plain sentence for an explained number; null: its title says it all. */
export const plainWords = (title: string): string | null =>
  PLAIN[title] ?? BEGINS.find(([start]) => title.startsWith(start))?.[1] ?? null;

/** Signs that nobody meets outside a book of physics. */
const PHYSICS = /[σγρμηκθΔ∫]|exp|ln |cosh|[a-z]⁻|J₀|I₀|e\^|Tref/;

/** Whether a formula is physics, to be folded away, or arithmetic that one can follow. */
export const isPhysics = (formula: string): boolean => PHYSICS.test(formula);
