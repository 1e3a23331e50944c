import { DEFECTS } from '$core/inspect';
import { answer, body, id, listOf, one, picture, ref, refused, eventStreamAnswer } from './parts';

/** Runs, the pieces that come of them, and the record. */
export const runsPaths = {
  '/api/v1/runs/{id}/picture': {
    parameters: [id],
    get: picture('The piece of a run, as its plan stood', [
      ['by', '`what was poured`: drawn by what was really weighed and poured', 'string']
    ])
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
    get: { summary: 'The events of a run as they are stored', responses: eventStreamAnswer }
  },
  '/api/v1/runs/{id}/events': {
    parameters: [id],
    get: { summary: 'What happened, in order', responses: answer('The events.', listOf(ref('RunEvent'))) },
    post: {
      summary: 'Store events; sending twice stores once',
      ...body(one(ref('RunEvent'))),
      responses: { ...answer('The ids stored.', { type: 'object' }, '201'), ...refused }
    }
  },
  '/api/v1/runs/{id}/pieces': {
    parameters: [id],
    get: { summary: 'The pieces as inspected', responses: answer('The pieces.', listOf(ref('Piece'))) },
    put: {
      summary: 'Store inspections',
      ...body(one(ref('Piece'))),
      responses: { ...answer('All pieces of the run.', listOf(ref('Piece'))), ...refused }
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
        'Likely causes of every fault found on its pieces, each with the logged fact and what it asks of the plan now: a change with its differences, one that is made, or a lesson; or of one defect',
      parameters: [
        { name: 'defect', in: 'query', schema: { enum: [...DEFECTS] } },
        { name: 'group', in: 'query', schema: { type: 'string' } }
      ],
      responses: { ...answer('By group.', listOf({ type: 'object' })), ...refused }
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
  '/api/v1/record.csv': {
    get: {
      summary: 'The record, a row a piece',
      responses: { '200': { description: 'CSV.', content: { 'text/csv': {} } } }
    }
  }
};
