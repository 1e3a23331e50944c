import { answer, body, listOf, ref, refused, eventStreamAnswer } from './parts';

/** The workshop: days, search, copies of everything, devices. */
export const workshopPaths = {
  '/api/v1/settings': {
    get: {
      summary: 'The workshop’s preferences for showing figures; documents and this interface stay metric',
      responses: answer('The preferences.', ref('Ways'))
    },
    put: {
      summary: 'Save the workshop’s preferences',
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
  '/api/v1/changes': {
    get: {
      summary: 'What is stored anywhere here: kind, id and revision, 0 for deleted',
      responses: eventStreamAnswer
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
  '/api/v1/find': {
    get: {
      summary: 'Plans, runs, cards, lessons and pieces that hold some words',
      parameters: [{ name: 'q', in: 'query', schema: { type: 'string', maxLength: 200 } }],
      responses: answer('What was found, by kind.', listOf({ type: 'object' }))
    }
  },
  '/api/v1/archive': {
    get: {
      summary: 'Everything in open formats: a ZIP of JSON Lines, photos and a manifest with checksums',
      responses: { '200': { description: 'The archive.', content: { 'application/zip': {} } } }
    },
    post: {
      summary: 'Put an archive in the place of everything, whole or not at all; with ?preview only count it',
      parameters: [{ name: 'preview', in: 'query', schema: { type: 'string' } }],
      requestBody: { required: true, content: { 'application/zip': {} } },
      responses: { ...answer('What it holds.', { type: 'object' }), ...refused }
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
};
