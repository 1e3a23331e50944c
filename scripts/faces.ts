// npm run faces: what photographed faces of every technique are like, learnt from the techniques' own pours, for asking by a picture.
import { writeFileSync } from 'node:fs';
import { TECHNIQUES } from '../src/core/pour';
import { along } from '../src/core/propose/from-photo/library';
import { drawnPour, referenceOf, traitsSeen } from './lib/drawn-faces';
import { makePicture } from './lib/made-picture';
import { directionsOf, rounded, type Face } from './lib/telling-apart';

/** Pours of each technique that are photographed, and how. */
const LAYOUTS = 14;
const PHOTOS = ['fair', 'poor'] as const;
/** A technique of fewer pours that show a pattern is told by none. */
const LEAST = 8;
const FILE = 'src/core/propose/from-photo/faces.json';

const faces: Face[] = [];
const references: Record<string, number[]> = {};
for (const technique of TECHNIQUES) {
  references[technique.id] = referenceOf(technique);
  const own: Face[] = [];
  for (let layout = 0; layout < LAYOUTS; layout++) {
    const pour = drawnPour(technique, layout);
    if (!pour) continue;
    for (const [i, quality] of PHOTOS.entries())
      own.push({ techniqueId: technique.id, traits: traitsSeen(pour, quality, 31 * layout + i + 1) });
  }
  const pours = own.length / PHOTOS.length;
  if (pours >= LEAST) faces.push(...own);
  console.log(`${technique.name}: ${pours} pours${pours >= LEAST ? '' : ', too few that show a pattern'}`);
}

const learnt = directionsOf(faces);
const byTechnique: Record<string, number[][]> = {};
for (const { techniqueId, traits } of faces)
  (byTechnique[techniqueId] ??= []).push(along(learnt, traits).map(rounded));
const lines = Object.entries({ of: references, ...learnt, faces: byTechnique }).map(
  ([key, value]) => `${JSON.stringify(key)}: ${JSON.stringify(value)}`
);
writeFileSync(FILE, `{\n${lines.join(',\n')}\n}\n`);
console.log(
  `${faces.length} photographed faces of ${Object.keys(byTechnique).length} techniques are in ${FILE}.`
);
await makePicture();
