import { describe, expect, it } from 'vitest';
import { areasOf, photographed, QUALITIES, traitsOf, uprighted } from '../src/core/photo';
import { ALIKE, library, ranked, worthShowing } from '../src/core/propose/from-photo/library';
import { TECHNIQUES } from '../src/core/pour';
import { isToday } from '../src/core/soak.testing';
import { drawnPour, referenceOf, SEEN_AT, traitsSeen } from './lib/drawn-faces';
import { strangePictures } from './lib/strange-pictures';

/** Layouts that the library was not learnt from. */
const HELD_OUT = 40;

describe('the library of faces', () => {
  it('is of the techniques and the engine as they are now: otherwise run `npm run faces`', () => {
    for (const technique of TECHNIQUES) {
      const [known, now] = [library.of[technique.id], referenceOf(technique)];
      expect(known, technique.name).toHaveLength(now.length);
      now.forEach((share, i) => expect(Math.abs(share - known![i]!), technique.name).toBeLessThan(0.02));
    }
  });

  it.runIf(isToday(0, 2))('knows photographed pours it has never seen', () => {
    const tried = TECHNIQUES.flatMap((technique, i) => {
      const pour = library.faces[technique.id] && drawnPour(technique, HELD_OUT + i);
      if (!pour) return [];
      const all = ranked(traitsSeen(pour, 'fair', 7 + i));
      return [
        {
          first: all[0]!.techniqueId === technique.id,
          among: worthShowing(all).some((r) => r.techniqueId === technique.id)
        }
      ];
    });
    expect(tried.length).toBeGreaterThan(14);
    expect(tried.filter((t) => t.first).length / tried.length).toBeGreaterThan(0.75);
    expect(tried.filter((t) => t.among).length / tried.length).toBeGreaterThan(0.85);
  });

  it.runIf(isToday(1, 2))('calls hardly any picture alike that no pour makes', () => {
    const pictures = strangePictures();
    const alike = pictures.filter((face, i) => {
      const { photo, placed } = photographed(face, {
        quality: QUALITIES.fair,
        seed: i + 1,
        outline: 'square'
      });
      return ranked(traitsOf(areasOf(uprighted(photo, placed, SEEN_AT))))[0]!.distance < ALIKE;
    });
    expect(alike.length / pictures.length).toBeLessThanOrEqual(0.1);
  });
});
