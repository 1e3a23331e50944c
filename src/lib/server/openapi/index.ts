import { z } from 'zod';
import { TrialCard } from '$core/colour';
import { Scale } from '$core/dosing';
import { DEFECTS, Piece } from '$core/inspect';
import { Base, Colourant } from '$core/material';
import { Mould } from '$core/mould';
import { RunEvent } from '$core/run';
import { SHEETS } from '../../plan/sheets';
import { MatchRequest } from '../match';
import { Lot, Vessel, TABLE_KINDS } from '$core/shelf';
import { Preferences } from '$core/preferences';
import { PASTE_CARRIERS } from '$core/shelf';
import { answer, body, clashes, edits, id, ifMatch, list, one, picture, ref, refused, stream } from './parts';
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
const cards = (path: string, name: string) => ({
  [`/api/v1/${path}`]: {
    get: { summary: `All ${path}`, responses: answer('The cards, by name.', list(ref(name))) },
    post: {
      summary: `Store one of the ${path}`,
      ...body(ref(name)),
      responses: { ...answer('As stored.', ref(name), '201'), ...refused }
    }
  },
  [`/api/v1/${path}/{id}`]: {
    parameters: [id],
    get: { summary: 'One card', responses: answer('The card.', ref(name)) },
    put: {
      summary: 'Store a card at its own address',
      parameters: [ifMatch],
      ...body(ref(name)),
      responses: { ...answer('As stored.', ref(name)), ...refused, ...clashes }
    },
    patch: {
      summary: 'Change single fields of a card as it stands now; a list’s element goes by its id',
      ...body(edits),
      responses: { ...answer('As stored.', ref(name)), ...refused }
    },
    delete: { summary: 'Take a card off the shelf', responses: answer('Gone.', undefined, '204') }
  }
});

const Problems = z.object({
  problems: z.array(
    z.object({
      code: z.string(),
      level: z.enum(['stop', 'warn', 'note']),
      path: z.string(),
      sentence: z.string(),
      mend: z.string()
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
      '/api/v1/compute': {
        post: {
          summary: 'Compute a plan with its shelf, storing nothing',
          ...body(ref('PlanFile')),
          responses: {
            ...answer('Every figure of the plan, with its problems.', { type: 'object' }),
            ...refused
          }
        }
      },
      ...cards('moulds', 'Mould'),
      ...cards('bases', 'Base'),
      ...cards('colourants', 'Colourant'),
      ...cards('scales', 'Scale'),
      ...cards('vessels', 'Vessel'),
      ...cards('lots', 'Lot'),
      ...cards('trialcards', 'TrialCard'),
      '/api/v1/trialcards/{id}/photo': {
        parameters: [id],
        post: {
          summary: 'Keep the photo of a trial card; the card names it from then on',
          requestBody: {
            required: true,
            content: { 'image/*': { schema: { type: 'string', format: 'binary' } } }
          },
          responses: { ...answer('The card.', ref('TrialCard'), '201'), ...refused }
        },
        get: {
          summary: 'The photo of a trial card',
          responses: { '200': { description: 'The picture.', content: { 'image/jpeg': {} } } }
        }
      },
      '/api/v1/pastes': {
        post: {
          summary: 'Put a paste that was made on the shelf: its card and its lot',
          ...body({
            type: 'object',
            required: ['pigmentId', 'carrier', 'make', 'fraction', 'division', 'shelfMonths'],
            properties: {
              pigmentId: { type: 'string' },
              carrier: { enum: PASTE_CARRIERS.map((c) => c.carrier) },
              make: { type: 'number', description: 'g' },
              fraction: { type: 'number', description: 'pigment by weight, 0 to 1' },
              division: { type: 'number', description: 'of the scale, g' },
              shelfMonths: { type: 'integer', minimum: 1 },
              pigmentCost: { type: 'number', description: 'a gram' },
              carrierCost: { type: 'number', description: 'a gram' }
            }
          }),
          responses: { ...answer('The card and the lot.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/match': {
        post: {
          summary: 'Find recipes for a colour from the shelf',
          ...body(ref('MatchRequest')),
          responses: { ...answer('The best few recipes.', { type: 'object' }), ...refused }
        }
      },
      '/api/v1/palette': {
        post: {
          summary: 'Read a palette: the open palette text format, or CSV',
          ...body({ type: 'object', required: ['text'], properties: { text: { type: 'string' } } }),
          responses: { ...answer('The colours.', { type: 'object' }), ...refused }
        },
        get: {
          summary: 'The colourants of the shelf as a palette',
          parameters: [{ name: 'as', in: 'query', schema: { enum: ['text', 'csv'] } }],
          responses: { '200': { description: 'The palette.', content: { 'text/plain': {} } } }
        }
      },
      '/api/v1/stock': {
        get: {
          summary: 'What is left of every lot, runs taken off',
          responses: answer('The lots.', { type: 'array' })
        }
      },
      '/api/v1/settings': {
        get: {
          summary: 'The workshop’s own ways of showing figures; documents and this interface stay metric',
          responses: answer('The ways.', ref('Ways'))
        },
        put: {
          summary: 'Keep the workshop’s own ways',
          ...body(ref('Ways')),
          responses: { ...answer('As kept.', ref('Ways')), ...refused }
        }
      },
      '/api/v1/days': {
        get: {
          summary:
            'Every open order placed on the days from today on: hands, hours, moulds and windows kept; minutes from midnight of today',
          responses: answer('The days.', { type: 'object' })
        }
      },
      '/api/v1/days/progress': {
        get: {
          summary: 'How far the orders are that are being placed just now, 0 to 1; null while none are',
          responses: answer('The share.', {
            type: 'object',
            required: ['share'],
            properties: { share: { type: ['number', 'null'], minimum: 0, maximum: 1 } }
          })
        }
      },
      '/api/v1/calendar.ics': {
        get: {
          summary: 'The days as a calendar file, to download or to subscribe to',
          responses: { '200': { description: 'The calendar.', content: { 'text/calendar': {} } } }
        }
      },
      '/api/v1/library': {
        post: {
          summary: 'Put the starting library on the shelf',
          responses: answer('How many cards were added.', { type: 'object' }, '201')
        }
      },
      '/api/v1/plans': {
        get: { summary: 'All plans', responses: answer('Latest change first.', list(ref('Plan'))) },
        post: {
          summary: 'Store a plan',
          ...body(ref('Plan')),
          responses: { ...answer('As stored.', ref('Plan'), '201'), ...refused }
        }
      },
      '/api/v1/plans/import': {
        post: {
          summary: 'Store a plan file; nothing here is overwritten',
          ...body(ref('PlanFile')),
          responses: { ...answer('The plan as stored.', ref('Plan'), '201'), ...refused }
        }
      },
      '/api/v1/plans/{id}': {
        parameters: [id],
        get: { summary: 'One plan', responses: answer('The plan.', ref('Plan')) },
        put: {
          summary: 'Store a plan at its own address',
          parameters: [ifMatch],
          ...body(ref('Plan')),
          responses: { ...answer('As stored.', ref('Plan')), ...refused, ...clashes }
        },
        delete: {
          summary: 'Delete a plan; its runs stay in the record',
          responses: answer('Gone.', undefined, '204')
        }
      },
      '/api/v1/plans/{id}/cups/{cup}/recipe': {
        parameters: [id, { name: 'cup', in: 'path', required: true, schema: { type: 'string' } }],
        put: {
          summary: 'Give a cup of a plan another recipe, whatever else has changed in the plan',
          ...body({ type: 'array', items: { type: 'object' } }),
          responses: { ...answer('The plan as stored.', ref('Plan')), ...refused, ...clashes }
        }
      },
      '/api/v1/plans/{id}/file': {
        parameters: [id],
        get: {
          summary: 'The plan as a file with every card it uses',
          responses: answer('The file.', ref('PlanFile'))
        }
      },
      '/api/v1/plans/{id}/picture': { parameters: [id], get: picture('The piece a plan comes to') },
      '/api/v1/runs/{id}/picture': {
        parameters: [id],
        get: picture('The piece of a run, as its plan stood')
      },
      '/api/v1/runs/{id}/buyer.pdf': {
        parameters: [
          id,
          { name: 'paper', in: 'query', schema: { enum: ['A4', 'Letter'] } },
          { name: 'deltaE', in: 'query', schema: { type: 'number', minimum: 0, maximum: 20 } },
          { name: 'weight', in: 'query', schema: { type: 'number', minimum: 0, maximum: 50 } }
        ],
        get: {
          summary:
            'The sheet for whoever buys a repeat as PDF; a colour within deltaE, a weight within so many percent',
          responses: {
            '200': { description: 'The sheet.', content: { 'application/pdf': {} } },
            ...refused
          }
        }
      },
      '/api/v1/runs': {
        get: { summary: 'All runs, latest first', responses: answer('The runs.', { type: 'array' }) },
        post: {
          summary: 'Begin a run of a plan',
          ...body({
            type: 'object',
            required: ['planId'],
            properties: {
              planId: { type: 'string' },
              id: { type: 'string' },
              startedAt: { type: 'integer', description: 'ms since 1970; now when absent' }
            }
          }),
          responses: { ...answer('The run.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/runs/{id}': {
        parameters: [id],
        get: {
          summary: 'A run with what it froze, its events, pieces and lessons',
          responses: answer('The run.', { type: 'object' })
        },
        delete: {
          summary: 'Take a run out of the record, with its events, pieces and lessons',
          responses: answer('Gone.', undefined, '204')
        }
      },
      '/api/v1/runs/{id}/stream': {
        parameters: [id],
        get: { summary: 'The events of a run as they are stored', responses: stream }
      },
      '/api/v1/changes': {
        get: {
          summary: 'What is stored anywhere here: kind, id and revision, 0 for deleted',
          responses: stream
        }
      },
      '/api/v1/stored': {
        get: {
          summary: 'One thing as it is stored, readable or not',
          parameters: [
            { name: 'kind', in: 'query', required: true, schema: { type: 'string' } },
            { name: 'id', in: 'query', required: true, schema: { type: 'string' } }
          ],
          responses: { '200': { description: 'Its text.', content: { 'application/json': {} } } }
        }
      },
      '/api/v1/backup': {
        get: {
          summary: 'Everything as one database file',
          responses: { '200': { description: 'The file.', content: { 'application/vnd.sqlite3': {} } } }
        },
        post: {
          summary: 'Put a backup in the place of everything; with ?preview it only says what is in it',
          parameters: [{ name: 'preview', in: 'query', schema: { type: 'string' } }],
          requestBody: {
            required: true,
            content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } }
          },
          responses: { ...answer('What is in it.', { type: 'object' }), ...refused }
        }
      },
      '/api/v1/sign-out': {
        post: {
          summary: 'Sign this device out, or every device',
          responses: answer('Signed out.', undefined, '204')
        }
      },
      '/api/v1/runs/{id}/events': {
        parameters: [id],
        get: { summary: 'What happened, in order', responses: answer('The events.', list(ref('RunEvent'))) },
        post: {
          summary: 'Store events; sending twice stores once',
          ...body(one(ref('RunEvent'))),
          responses: { ...answer('The ids stored.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/runs/{id}/pieces': {
        parameters: [id],
        get: { summary: 'The pieces as inspected', responses: answer('The pieces.', list(ref('Piece'))) },
        put: {
          summary: 'Store inspections',
          ...body(one(ref('Piece'))),
          responses: { ...answer('All pieces of the run.', list(ref('Piece'))), ...refused }
        }
      },
      '/api/v1/runs/{id}/lessons': {
        parameters: [id],
        get: { summary: 'The lessons of a run', responses: answer('The lessons.', { type: 'array' }) },
        post: {
          summary: 'Keep a lesson',
          ...body({ type: 'object', required: ['text'], properties: { text: { type: 'string' } } }),
          responses: { ...answer('As kept.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/runs/{id}/repeat': {
        parameters: [id],
        post: {
          summary:
            'Make a plan of what was really poured and weighed: as it was, in another mould, or as a family whose colours change places',
          ...body({
            type: 'object',
            properties: {
              family: { type: 'boolean' },
              mouldId: { type: 'string' },
              cavityId: { type: 'string' },
              count: { type: 'integer', minimum: 1, maximum: 2000 }
            }
          }),
          responses: answer('The plan.', ref('Plan'), '201')
        }
      },
      '/api/v1/pieces/{id}/photos': {
        parameters: [id],
        post: {
          summary: 'Keep a photo: resized to 1600 pixels, every tag removed',
          requestBody: {
            required: true,
            content: { 'image/*': { schema: { type: 'string', format: 'binary' } } }
          },
          responses: { ...answer('Its id and size.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/runs/{id}/photos': {
        parameters: [id],
        post: {
          summary: 'Keep a photo taken in a run: its event `pictured` names it',
          requestBody: {
            required: true,
            content: { 'image/*': { schema: { type: 'string', format: 'binary' } } }
          },
          responses: { ...answer('Its id and size.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/plans/{id}/photos': {
        parameters: [id],
        post: {
          summary: 'Keep a picture to trace regions over: the plan names it as `tracing.photo`',
          requestBody: {
            required: true,
            content: { 'image/*': { schema: { type: 'string', format: 'binary' } } }
          },
          responses: { ...answer('Its id and size.', { type: 'object' }, '201'), ...refused }
        }
      },
      '/api/v1/photos/{id}': {
        parameters: [id],
        get: {
          summary: 'A photo',
          responses: { '200': { description: 'The picture.', content: { 'image/jpeg': {} } } }
        }
      },
      '/api/v1/runs/{id}/causes': {
        parameters: [id],
        get: {
          summary:
            'Likely causes of every fault found on its pieces, each with the logged fact; or of one defect',
          parameters: [
            { name: 'defect', in: 'query', schema: { enum: [...DEFECTS] } },
            { name: 'group', in: 'query', schema: { type: 'string' } }
          ],
          responses: { ...answer('By group.', list({ type: 'object' })), ...refused }
        },
        post: {
          summary: 'Make the change that a cause asks for in the run’s plan',
          ...body({
            type: 'object',
            required: ['groupId', 'defect', 'cause'],
            properties: {
              groupId: { type: 'string' },
              defect: { enum: [...DEFECTS] },
              cause: { type: 'string' }
            }
          }),
          responses: { ...answer('The plan as it is now.', ref('Plan')), ...refused }
        }
      },
      '/api/v1/find': {
        get: {
          summary: 'Plans, runs, cards, lessons and pieces that hold some words',
          parameters: [{ name: 'q', in: 'query', schema: { type: 'string', maxLength: 200 } }],
          responses: answer('What was found, by kind.', list({ type: 'object' }))
        }
      },
      '/api/v1/archive': {
        get: {
          summary: 'Everything in open formats: a ZIP of JSON Lines, photos and a manifest with checksums',
          responses: { '200': { description: 'The archive.', content: { 'application/zip': {} } } }
        },
        post: {
          summary:
            'Put an archive in the place of everything, whole or not at all; with ?preview only count it',
          parameters: [{ name: 'preview', in: 'query', schema: { type: 'string' } }],
          requestBody: { required: true, content: { 'application/zip': {} } },
          responses: { ...answer('What it holds.', { type: 'object' }), ...refused }
        }
      },
      '/api/v1/plans/{id}/{sheet}.pdf': {
        parameters: [
          id,
          { name: 'sheet', in: 'path', required: true, schema: { enum: [...SHEETS] } },
          { name: 'paper', in: 'query', schema: { enum: ['A4', 'Letter'] } }
        ],
        get: {
          summary: 'A mix sheet, a run sheet, the batch table or labels of a plan as PDF',
          responses: {
            '200': { description: 'The sheet.', content: { 'application/pdf': {} } },
            ...refused
          }
        }
      },
      '/api/v1/import/{kind}': {
        parameters: [{ name: 'kind', in: 'path', required: true, schema: { enum: [...TABLE_KINDS] } }],
        post: {
          summary: 'Read a table of cards; with keep store all of its rows, or none',
          ...body({
            type: 'object',
            required: ['text'],
            properties: {
              text: { type: 'string' },
              mapping: { type: 'object', additionalProperties: { type: 'integer' } },
              keep: { type: 'boolean' }
            }
          }),
          responses: {
            ...answer('Its columns, and each row as a card or its problems.', { type: 'object' }),
            ...refused
          }
        }
      },
      '/api/v1/tables/{kind}.csv': {
        parameters: [{ name: 'kind', in: 'path', required: true, schema: { enum: [...TABLE_KINDS] } }],
        get: {
          summary: 'Cards of a kind as a table, with the columns by which it is read again',
          responses: { '200': { description: 'The table.', content: { 'text/csv': {} } } }
        }
      },
      '/api/v1/record.csv': {
        get: {
          summary: 'The record, a row a piece',
          responses: { '200': { description: 'CSV.', content: { 'text/csv': {} } } }
        }
      },
      '/api/v1/devices/scale': {
        post: {
          summary: 'Ask the stand-in scale: tare, clear, or pour so many grams',
          ...body({
            type: 'object',
            required: ['do', 'bench', 'division'],
            properties: {
              do: { enum: ['tare', 'clear', 'pour'] },
              bench: { type: 'string' },
              division: { type: 'number' },
              grams: { type: 'number' }
            }
          }),
          responses: { ...answer('Done.', { type: 'object' }), ...refused }
        }
      },
      '/api/v1/devices/scale/stream': {
        get: {
          summary: 'Readings of the stand-in scale, ten a second',
          parameters: [
            { name: 'bench', in: 'query', schema: { type: 'string' } },
            { name: 'division', in: 'query', schema: { type: 'number' } }
          ],
          responses: {
            '200': { description: 'Server-sent events.', content: { 'text/event-stream': {} } }
          }
        }
      }
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
