import type { Bench } from './workshop';

/**
 * Words that makers had to decipher, and what is said now. A screen that says one again fails; words of the trade, names of
 * things and what a maker wrote are not among them.
 */
const NOT_SAID: readonly [RegExp, string][] = [
  [/\bto mend\b|nothing to mend/i, 'warnings, problems'],
  [/\b(un)?folds?\b(?= *$)/im, 'hide'],
  [/\banew\b/i, 'again'],
  [/\bparts (met|meet)\b/i, 'mixing began'],
  [/let-down/i, 'stir 1 part into 9 of the mix'],
  [/\bclings?\b/i, 'stuck to cups'],
  [/uncoloured/i, 'before colour'],
  [/masstone/i, 'full strength'],
  [/\bread(s)? as one\b/i, 'look the same'],
  [/never hides|hides at/i, 'see-through, opaque from'],
  [/put it on the shelf|take it off the shelf/i, 'save, delete'],
  [/\b(a|per|each|\d+) turns?\b(?! over)/i, 'pour'],
  [/whose hands/i, 'who is pouring'],
  [/one’s own ways|your own ways/i, 'preferences'],
  [/\bround taper|frustum|spherical cap\b/i, 'round, tapered sides; dome'],
  [/resin A\b|hardener B\b/, 'resin, hardener'],
  [/\bno base\b|\bbases\b|^base$/im, 'material'],
  [/\bradius\b/i, 'diameter'],
  [/the score\b/i, 'the timeline'],
  [/\S…$/m, 'what it does or what is inside']
];

/** What the notes, lessons and names of the demo workshop say is the makers' own. */
const OWN_WORDS = '[data-testid="lessons"], [data-column="lesson"], textarea, input, [data-own-words]';

/** Words of the page as it stands that are not said any more, each with what stands around it. */
export async function notSaid(bench: Bench): Promise<string[]> {
  const text = await bench.page.evaluate((own) => {
    const copy = document.body.cloneNode(true) as HTMLElement;
    for (const e of copy.querySelectorAll(`${own}, script, style, pre, code`)) e.remove();
    const named = [...copy.querySelectorAll('[aria-label], [title], [placeholder]')].flatMap((e) =>
      ['aria-label', 'title', 'placeholder'].map((a) => e.getAttribute(a) ?? '')
    );
    const blocks = [...copy.querySelectorAll('*')].flatMap((e) =>
      [...e.childNodes].filter((n) => n.nodeType === Node.TEXT_NODE).map((n) => n.textContent!.trim())
    );
    return [...blocks, ...named].filter(Boolean).join('\n');
  }, OWN_WORDS);
  return NOT_SAID.flatMap(([word, now]) => {
    const found = word.exec(text);
    if (!found) return [];
    const around = text.slice(Math.max(0, found.index - 30), found.index + 40).replaceAll('\n', ' | ');
    return [`“${found[0]}” (say: ${now}) in “${around}”`];
  });
}
