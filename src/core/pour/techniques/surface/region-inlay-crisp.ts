import { pathArea, type Path } from '../../place';
import { RIM, act, after, faceSide, patch, pour, technique, type Setting } from '../technique';

/** How deep a region is milled, mm, and the most of the cavity's depth. */
const DEEP = 2;
const MOST_OF_CAVITY = 0.4;

/** What fills an outline milled so deep, ml: the face taken as a square, or as long as it is wide and more. */
function fills(outline: Path, of: Setting): number {
  const width = faceSide(of) / 2 / Math.sqrt(of.aspect);
  const mm2 = pathArea(outline, { width, length: width * of.aspect });
  return Number(((mm2 * Math.min(DEEP, MOST_OF_CAVITY * of.depth)) / 1000).toPrecision(3));
}

/** Regions traced over a picture, each milled out of the cured ground and refilled: every edge crisp. */
export const regionInlayCrisp = technique({
  id: 'region-inlay-crisp',
  name: 'Region inlay, crisp',
  about: 'a picture in crisp regions, each milled out and refilled',
  look: 'set in',
  also: ['inlay', 'picture', 'milled'],
  suits: ['runs thin', 'sands hard'],
  cups: ['the ground', 'a region', '…'],
  least: 2,
  shows: 'open face',
  learn: ['days to milling', 'how deep each was milled'],
  steps: ({ cups, cures, ...of }) => [
    { act: pour('lay', cups[0]!, RIM), key: 'ground' },
    ...cups.slice(1).map((cup, i, regions) => {
      const outline = patch(i, regions.length);
      const ml = fills(outline, { cups, cures, ...of });
      return {
        act: pour('region', cup, { kind: 'volume', ml }, { outline, edges: 'crisp' }),
        key: `region ${i}`,
        anew: `day ${i}`,
        until: [after(i ? `region ${i - 1}` : 'ground', cures)],
        note: 'once it is cured through: what is milled too soon peels'
      };
    }),
    { act: act('cure', { minutes: cures }) },
    { act: act('mill', { depth: 0.3 }), note: 'level again; what shows is the depth that the mill leaves' },
    { act: act('sand') }
  ]
});
