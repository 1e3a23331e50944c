import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { nightHeron, rockpool } from '../../../../demo/plans';
import { figuresOf, type Plan } from '../../plan';
import { checksAgain, checksOf } from './checks';

const checksFor = (plan: Plan) => checksOf(plan, figuresOf(plan, cards));
const levelOf = (plan: Plan) => checksFor(plan).find((c) => c.id === 'level')?.more;

describe('what is looked at before the first drop', () => {
  it('says where the face lies that is judged; of a cut and of a wall, nothing', () => {
    const judgedBy = (showFace: Plan['showFace']) => levelOf({ ...rockpool, showFace });
    expect(judgedBy('mould face')).toEqual(['the mould face is the show face: it lies below']);
    expect(judgedBy('open face')).toEqual(['the open face is the show face: it lies on top']);
    expect(judgedBy('cut')).toEqual([]);
    expect(judgedBy('wall')).toEqual([]);
  });

  it('is the moulds first and the room last, each check once', () => {
    const ids = checksFor(nightHeron).map((c) => c.id);
    expect(ids[0]).toBe('moulds');
    expect(ids.at(-1)).toBe('room');
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('is set up anew for a later sitting, with what lies there first', () => {
    const again = checksAgain(nightHeron, figuresOf(nightHeron, cards), 2).map((c) => c.id);
    expect(again[0]).toBe('lies~2');
    expect(again).toContain('level~2');
    expect(again.every((id) => id.endsWith('~2'))).toBe(true);
  });
});
