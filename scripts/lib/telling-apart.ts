import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { inSpreads, type Library } from '../../src/core/propose/from-photo/library';

/** A face of a technique by its traits. */
export interface Face {
  techniqueId: string;
  traits: readonly number[];
}

/** What one trait differs by within a technique is held to the mean of all by so much, so that few faces do not mislead. */
const SHRUNK = 0.15;
/** A trait that hardly differs within a technique tells no more than one of this spread. */
const LEAST_SPREAD = 0.02;
const DIGITS = 3;

/**
 * The directions along which techniques differ most against how faces of one technique differ: Fisher's discriminants, of the
 * traits in spreads within a technique. All directions there are: one fewer than techniques.
 */
export function directionsOf(faces: readonly Face[]): Pick<Library, 'mean' | 'spread' | 'directions'> {
  const groups = groupedByTechnique(faces);
  const traits = faces[0]!.traits.length;
  const mean = Array.from({ length: traits }, (_, i) => meanOf(faces.map((f) => f.traits[i]!)));
  const spread = Array.from({ length: traits }, (_, i) => {
    const all = groups.flatMap((g) => {
      const own = meanOf(g.map((f) => f.traits[i]!));
      return g.map((f) => (f.traits[i]! - own) ** 2);
    });
    return Math.max(LEAST_SPREAD, Math.sqrt(meanOf(all)));
  });
  const scaled = groups.map((g) => g.map((f) => inSpreads({ mean, spread }, f.traits)));
  const whitening = whitened(within(scaled, traits));
  const means = scaled.map((g) => Array.from({ length: traits }, (_, i) => meanOf(g.map((f) => f[i]!))));
  const all = Array.from({ length: traits }, (_, i) => meanOf(means.map((m) => m[i]!)));
  const between = Matrix.zeros(traits, traits);
  for (const m of means) {
    const d = whitening.mmul(Matrix.columnVector(m.map((v, i) => v - all[i]!)));
    between.add(d.mmul(d.transpose()));
  }
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(between, {
    assumeSymmetric: true
  });
  const order = realEigenvalues.map((_, i) => i).sort((a, b) => realEigenvalues[b]! - realEigenvalues[a]!);
  const directions = order.slice(0, groups.length - 1).map((i) => {
    const row = Matrix.rowVector(eigenvectorMatrix.getColumn(i)).mmul(whitening).to1DArray();
    return row.map(rounded);
  });
  return { mean: mean.map(rounded), spread: spread.map(rounded), directions };
}

export const rounded = (v: number): number => Number(v.toPrecision(DIGITS + 1));
const meanOf = (of: readonly number[]) => of.reduce((s, v) => s + v, 0) / Math.max(1, of.length);

function groupedByTechnique(faces: readonly Face[]): Face[][] {
  const ids = [...new Set(faces.map((f) => f.techniqueId))];
  return ids.map((id) => faces.filter((f) => f.techniqueId === id));
}

function within(scaled: readonly (readonly number[][])[], traits: number): Matrix {
  const sum = Matrix.zeros(traits, traits);
  let n = 0;
  for (const group of scaled) {
    const own = Array.from({ length: traits }, (_, i) => meanOf(group.map((f) => f[i]!)));
    for (const f of group) {
      const d = Matrix.columnVector(f.map((v, i) => v - own[i]!));
      sum.add(d.mmul(d.transpose()));
      n++;
    }
  }
  sum.div(Math.max(1, n));
  const trace = sum.trace() / traits;
  return sum.mul(1 - SHRUNK).add(Matrix.eye(traits).mul(SHRUNK * trace));
}

/** The matrix under which a spread is one in every direction. */
function whitened(spread: Matrix): Matrix {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(spread, {
    assumeSymmetric: true
  });
  const by = Matrix.diag(realEigenvalues.map((v) => 1 / Math.sqrt(Math.max(1e-6, v))));
  return eigenvectorMatrix.mmul(by).mmul(eigenvectorMatrix.transpose());
}
