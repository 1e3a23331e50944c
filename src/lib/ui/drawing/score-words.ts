/** How wide a letter of the score's words is, px. */
const LETTER = 6.4;

/** A block with its words. */
interface Worded {
  id: string;
  from: number;
  to: number;
  groupId?: string | undefined;
  unattended?: boolean | undefined;
  text: string;
}

/** Where the words of a block stand. */
interface Placed {
  x: number;
  anchor: 'start' | 'middle';
  text: string;
}

/**
 * Words of blocks where they stand clear of one another, by block: inside where there is room, else beside it; left out
 * where neither is. `x` places a minute, px; nothing stands right of `end`, px.
 */
export function wordsBeside(
  blocks: readonly Worded[],
  x: (minute: number) => number,
  end: number
): Map<string, Placed> {
  const words = new Map<string, Placed>();
  const right = new Map<string, number>();
  for (const b of blocks) {
    const long = b.text.length * LETTER;
    const [from, wide] = [x(b.from), x(b.to) - x(b.from)];
    const inside = wide > long + 8;
    const at = inside ? from + wide / 2 : from + wide + 3;
    const start = inside ? at - long / 2 : at;
    const lane = b.groupId ?? '';
    if (!b.text || (!inside && b.unattended) || start < (right.get(lane) ?? 0)) continue;
    if (!inside && start + long > end) continue;
    words.set(b.id, { x: at, anchor: inside ? 'middle' : 'start', text: b.text });
    right.set(lane, start + long + 4);
  }
  return words;
}
