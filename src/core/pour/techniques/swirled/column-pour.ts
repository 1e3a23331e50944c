import { materials } from '../../../material';
import { RIM, act, outOfMould, pour, share, technique, upTo } from '../technique';

/** Over a heavy post in rounds, turn about; the post lifted and its void filled. */
export const columnPour = technique({
  id: 'column-pour',
  name: 'Column pour',
  about: 'rings that follow the post',
  look: 'swirls',
  also: ['rings', 'star pour', 'post pour'],
  // All jugs stand open until the last round: what sets within minutes is too quick for it.
  suits: ['flows round a post', 'swirls fluid'],
  cups: ['jugs, in turn', '…'],
  least: 2,
  learn: ['grams a round'],
  together: true,
  steps: ({ cups, cutInto, material }) => [
    ...cups.map((cup, i) => ({
      act: pour('column', cup, i === cups.length - 1 ? upTo(0.97) : share(0.97 / cups.length), {
        post: 'star'
      }),
      note: 'the same grams a round, so that no jug is left over'
    })),
    { act: act('lift', { what: 'post' }) },
    { act: pour('puddle', cups.at(-1)!, RIM), note: 'all jugs scraped into the void' },
    ...(materials.has(material, 'ashes') ? [{ act: act('spray', { times: 4, every: 30 }) }] : []),
    { act: act('demould') },
    ...(cutInto > 1
      ? [{ act: act('cut', { pieces: cutInto, how: 'on the diagonal' }), until: [outOfMould(30)] }]
      : [])
  ]
});
