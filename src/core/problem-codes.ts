/** `stop` makes the figures unusable, `warn` risks the piece, `note` is worth knowing. */
export type Level = 'stop' | 'warn' | 'note';

/** What is known of a code: how grave it can be, and when it is said. */
interface Coded {
  levels: readonly Level[];
  when: string;
}

const stop = (when: string): Coded => ({ levels: ['stop'], when });
const warn = (when: string): Coded => ({ levels: ['warn'], when });
const note = (when: string): Coded => ({ levels: ['note'], when });
const either = (levels: readonly Level[], when: string): Coded => ({ levels, when });

/**
 * Every problem there is, by its code: stable, kebab-case, relied on by tests and other programs. What a schema finds
 * is `input-…` with the kind of fault after it.
 */
export const PROBLEMS = {
  // A plan that names what is not there.
  'act-unknown': stop('a step has an act that this version does not know'),
  'base-missing': stop('a mix names a base that is not on the shelf'),
  'cavity-missing': warn('a variation is for a cavity that the group does not have'),
  'chamber-unknown': stop('a layer goes into a chamber that the mould does not have'),
  'colourant-missing': stop('a recipe names a colourant that is not on the shelf'),
  'cup-missing': stop('a step or a cup names a cup that is not in the plan'),
  'cup-of-itself': stop('a cup would be filled from itself'),
  'group-missing': stop('a step names cavities that are not in the plan'),
  'mix-missing': stop('a cup is made from a mix that is not in the plan'),
  'mould-missing': stop('a group names a mould or cavity that is not on the shelf'),
  'scale-missing': stop('the plan has no scale, or its scale is not on the shelf'),
  'state-unknown': warn('a gate waits for a state that the material never has'),
  'step-missing': stop('a variation names a step that is not in the plan'),
  'zone-unknown': stop('a layer is laid to a zone that the mould does not have'),
  // Cavities and what goes into them.
  'capacity-absurd': warn('a cavity is larger than any bench casts'),
  'capacity-disagrees': warn('water and dimensions give capacities far apart'),
  'chambers-not-whole': stop('the chambers of a cavity are not the whole of it'),
  'chambers-uneven': warn('chambers stand at different levels when the divider comes out'),
  'draft-grips': warn('walls lean in, or too little for a stiff mould'),
  'embed-stands-out': either(['warn', 'note'], 'an embed stands out of the pour'),
  'embed-too-big': either(['stop', 'warn'], 'embeds leave no room'),
  'layer-too-deep': warn('a layer is deeper than the resin takes at once'),
  'level-passed': stop('a layer asks for a level that is passed already'),
  'matte-mould': note('a clear piece shows the face of a matte mould'),
  'mould-residue': either(['warn', 'note'], 'a mould last held a darker colour'),
  'mould-too-cool': stop('a pour is hotter than the mould takes'),
  'needs-release': note('a stiff mould whose card names no release or liner'),
  'no-gate': warn('a layer goes onto one that is still wet'),
  overfull: stop('a step pours more than the cavity holds'),
  'pour-hole-narrow': note('a cavity is filled through a hole'),
  'shape-impossible': stop('dimensions that make no shape'),
  'short-fill': note('a cavity ends less than full'),
  'zone-outside': warn('a zone lies outside its cavity'),
  // Cups and mixes.
  'carrier-exceeds-part': stop('colourants bring more of a part than the cup holds'),
  'chips-too-many': warn('more chips than the body can fill between'),
  'colourant-care': note('a colourant that wants care in this material'),
  'colourant-over-limit': warn('more of a colourant than its limit'),
  'colourant-unsuited': warn('a colourant that does not belong in this material'),
  'cup-over-limit': warn('more colourant in a cup than the material takes'),
  'cup-overheats': warn('more mixed resin in one cup than stays cool'),
  'density-missing': stop('a volume ratio without densities'),
  'fats-may-set': note('a fat may set in a waiting cup and pass for trace'),
  'hardness-outside': stop('a hardness that its two ends cannot be blended to'),
  'injector-too-small': stop('one shot is more than the injector gives'),
  'measure-unknown': warn('a dose in drops or spoons of which the card knows no weight'),
  'mix-too-small': warn('a mix smaller than is sensible'),
  'not-weighable': warn('a weighing that is a guess on this scale'),
  'oils-not-whole': stop('oils that are not the whole'),
  'ratio-needs-densities': stop('a ratio by volume cannot be weighed without densities'),
  'ratio-off': warn('rounding moves the ratio'),
  'reheated-too-often': warn('a plastisol heated more often than its card allows'),
  'reserve-after-colour': warn('a reserve that colour has met already'),
  'scale-overloaded': stop('a cup heavier than the scales hold'),
  'soap-school': note('small fresh soap batches where a slip moves the superfat'),
  'split-off-ratio': warn('carriers move the ratio of a portion'),
  'superfat-moves': either(['stop', 'warn'], 'rounding moves the superfat by more than a point'),
  'vessel-too-small': warn('a mix that its vessel cannot stir'),
  'water-cement': warn('a water to cement ratio too high or too low'),
  // Colours.
  'colours-close': note('two colours that touch are close'),
  'reads-as-one': warn('two colours that touch read as one'),
  'white-takes-over': warn('a white covers more of the face than of the pour'),
  // What is done, and in which order.
  'drag-below-gel': warn('a tool drawn deeper than what is fluid'),
  'dust-late': warn('a mould dusted after something was poured'),
  'dust-on-matte': warn('a matte mould dusted'),
  'embed-drifts': warn('an embed set on what is too fluid to hold it'),
  'cups-over-hands': note('more cups stand open than the hands can pour in time'),
  'tool-order': note('a stick goes from a dark cup into a paler one'),
  'embed-uncovered': warn('an embed higher than what covers it'),
  'flame-near-alcohol': warn('a flame where alcohol is wet'),
  'flame-on-wet': warn('a flame on what holds water, or on soap'),
  'glue-before-seal': warn('glued before it is sealed'),
  'milled-soft': warn('milled before it is cured through'),
  'sealed-wet': warn('sealed before it is dry'),
  settles: note('a heavy pigment stands before it is poured'),
  'still-in-mould': warn('done to a piece that is still in its mould'),
  // Time.
  'demould-clash': warn('the first pieces are late before the last are poured'),
  'gate-early': warn('a gate opens well before its state is expected'),
  'gate-late': warn('a gate opens after the latest its step may be done'),
  'past-window': warn('a pour ends after its cup no longer levels'),
  'probe-never': warn('a gate waits for a temperature that is never reached'),
  // Stock.
  'stock-expired': warn('stock past its use-by'),
  'stock-short': warn('less on the shelf than is needed'),
  // Moulds that are made, traced or filled with water.
  'keys-missing': warn('two halves without keys'),
  'master-too-big': stop('a master that leaves no rubber round it'),
  'table-cell': stop('a cell of a table that cannot be read'),
  'table-empty': stop('no table in what was sent'),
  'trace-corners': stop('a traced outline with too few corners'),
  'trace-crosses': stop('a traced outline that crosses itself'),
  'sheet-backward': stop('a line of a run sheet that was done before the one above it'),
  'sheet-entry': stop('a line of a run sheet that cannot be read'),
  'trace-scale': stop('a traced outline without a scale'),
  'water-cavities': stop('a water fill of no cavities'),
  'water-fill-order': stop('a full mould that weighs less than the empty one'),
  'water-temperature': stop('a water temperature at which water is no liquid'),
  // What is typed.
  'amount-kind': stop('an amount that a layer cannot take'),
  'amount-not-positive': stop('an amount that pours nothing'),
  'amount-over-full': stop('an amount over the whole cavity'),
  'colour-unreadable': stop('no colour in what was typed'),
  'count-not-whole': stop('a count that is no whole number'),
  'division-not-positive': stop('a scale without a division'),
  'grams-negative': stop('a weight under nothing'),
  'withdraws-too-much': stop('more drawn out than there is'),
  'hour-unreadable': stop('no time of day in what was typed'),
  'number-not-positive': stop('a figure that must be more than nothing'),
  'pair-unreadable': stop('a line that holds no pair of figures'),
  'palette-empty': stop('a palette without colours'),
  'palette-line': stop('a line of a palette that is no colour'),
  'paste-fraction': stop('a paste that is all pigment or none'),
  'paste-nothing': stop('a paste of nothing'),
  'quantity-comma': stop('a comma that could be a decimal or a thousand'),
  'quantity-empty': stop('nothing was typed'),
  'quantity-kind': stop('a unit of another kind than wanted'),
  'quantity-mixed': stop('units that do not add up'),
  'quantity-ounce': stop('an ounce that may be weight or volume'),
  'quantity-unit': stop('a unit that is not known'),
  'quantity-unreadable': stop('no quantity in what was typed'),
  'too-big': stop('a figure over its limit'),
  'too-small': stop('a figure under its limit'),
  // Requests and the store.
  'changed-meanwhile': stop('someone else changed the same thing since it was read'),
  'copy-failed': stop('a backup could not be written or read'),
  'cause-gone': stop('a cause that the log does not point to any more'),
  'defect-unknown': stop('a defect that is none'),
  'disk-full': stop('nothing more can be stored'),
  'id-differs': stop('a document sent to the address of another'),
  'id-taken': stop('something with this id is there already'),
  'no-answer': stop('the server did not answer'),
  'no-colourants': stop('no colourant on the shelf belongs in this base'),
  'not-found': stop('there is no such thing'),
  'not-json': stop('what was sent is not JSON'),
  'not-readable': stop('something stored cannot be read any more'),
  'photo-size': stop('no photo came, or it is too large'),
  'photo-unreadable': stop('what came is no photo'),
  'piece-not-cast': stop('a piece that the run did not cast'),
  'signed-out': stop('nobody is signed in here'),
  'store-readonly': stop('the database cannot be written'),
  'too-large': stop('a request larger than is read'),
  'took-too-long': stop('a computation past its time limit'),
  'too-busy': stop('too much waits to be computed already'),
  uninvited: stop('a request from a page elsewhere'),
  'went-wrong': stop('a fault of the program'),
  'was-deleted': stop('something that was deleted meanwhile')
} as const satisfies Record<string, Coded>;

/** A code of the registry, or what a schema found. */
export type ProblemCode = keyof typeof PROBLEMS | `input-${string}`;
