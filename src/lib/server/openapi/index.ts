import { z } from 'zod';
import { TrialCard } from '$core/colour';
import { Scale } from '$core/dosing';
import { Piece } from '$core/inspect';
import { Base, Colourant } from '$core/material';
import { Mould } from '$core/mould';
import { RunEvent } from '$core/run';
import { MatchRequest } from '../match';
import { Lot, Vessel } from '$core/shelf';
import { Preferences } from '$core/preferences';
import { plansPaths } from './plans';
import { runsPaths } from './runs';
import { shelfPaths } from './shelf';
import { workshopPaths } from './workshop';
import { jsonSchemaOf } from './json-schema';
import { planFileSchema, planSchema } from './plan-schema';

const SCHEMAS = {
  Mould,
  Base,
  Colourant,
  Scale,
  Vessel,
  Lot,
  TrialCard,
  RunEvent,
  Piece,
  MatchRequest,
  // The name by which it is documented.
  Ways: Preferences
};
const Problems = z.object({
  problems: z.array(
    z.object({
      code: z.string(),
      level: z.enum(['stop', 'warn', 'note']),
      path: z.string(),
      sentence: z.string(),
      mend: z.string(),
      // The part of a plan that it is about, where it is about one.
      stepId: z.string().optional(),
      gateId: z.string().optional(),
      cupId: z.string().optional(),
      mixId: z.string().optional(),
      groupId: z.string().optional()
    })
  )
});

/** The HTTP interface as an OpenAPI 3.1 document; every schema is the one the routes validate with. */
export function openapi() {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Kirapen',
      version: '1',
      description:
        'Plans, shelf, runs and record of a casting bench. Masses in grams, volumes in millilitres, lengths in millimetres, temperatures in degrees Celsius, times in minutes unless named; moments are milliseconds since 1970. Anything refused answers with problems: code, path, sentence, mend.'
    },
    paths: {
      ...plansPaths,
      ...runsPaths,
      ...shelfPaths,
      ...workshopPaths
    },
    components: {
      schemas: {
        Plan: planSchema(),
        PlanFile: planFileSchema(),
        ...Object.fromEntries(
          Object.entries({ ...SCHEMAS, Problems }).map(([name, schema]) => [name, jsonSchemaOf(schema)])
        )
      }
    }
  };
}
