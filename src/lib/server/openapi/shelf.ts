import { PASTE_CARRIERS, TABLE_KINDS } from '$core/shelf';
import { answer, body, clashes, edits, id, ifMatch, listOf, ref, refused } from './parts';

/** Paths that are not said as they are written. */
const CALLED: Record<string, string> = { bases: 'materials', trialcards: 'trial cards' };

const cards = (path: string, name: string) => ({
  [`/api/v1/${path}`]: {
    get: {
      summary: `All ${CALLED[path] ?? path}`,
      responses: answer('The cards, by name.', listOf(ref(name)))
    },
    post: {
      summary: `Store one of the ${CALLED[path] ?? path}`,
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
    delete: { summary: 'Delete a card', responses: answer('Gone.', undefined, '204') }
  }
});

/** The shelf: cards of every kind, lots, and what is worked out from them. */
export const shelfPaths = {
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
  '/api/v1/library': {
    post: {
      summary: 'Add the starter set to the shelf',
      responses: answer('How many cards were added.', { type: 'object' }, '201')
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
  }
};
