/** Pieces that descriptions of the HTTP interface are put together from. */

export const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
export const body = (schema: object) => ({
  requestBody: { required: true, content: { 'application/json': { schema } } }
});
export const answer = (description: string, schema?: object, status = '200') => ({
  [status]: {
    description,
    ...(schema ? { content: { 'application/json': { schema } } } : {})
  }
});
export const refused = answer('What is wrong, where, and how to mend it.', ref('Problems'), '422');
export const id = { name: 'id', in: 'path', required: true, schema: { type: 'string' } };
export const one = (schema: object) => ({ oneOf: [schema, { type: 'array', items: schema }] });
export const listOf = (schema: object) => ({ type: 'array', items: schema });

export const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: false,
  description:
    'The revision (ETag) that the write was based on; 409 with what is there now where it is past.',
  schema: { type: 'string' }
};
export const clashes = {
  ...answer('Changed, or taken, meanwhile.', ref('Problems'), '409'),
  ...answer('Deleted meanwhile.', ref('Problems'), '410')
};
export const edits = {
  type: 'object',
  required: ['edits'],
  properties: {
    edits: {
      type: 'array',
      items: {
        type: 'object',
        required: ['path'],
        properties: { path: { type: 'array', items: { type: ['string', 'integer'] } }, value: {} }
      }
    }
  }
};
export const eventStreamAnswer = {
  '200': { description: 'Server-sent events.', content: { 'text/event-stream': {} } }
};

/** A picture by its face and size. */
export const picture = (summary: string, more: readonly [string, string, string][] = []) => ({
  summary,
  parameters: [
    ['face', 'mould face, open face or cut; the plan’s show face when absent', 'string'],
    ['heading', 'of a cut: its line from the right, degrees', 'number'],
    ['off', 'of a cut: how far it passes to the left of the middle, mm', 'number'],
    ['size', 'longer side, pixels, 16 to 1600', 'integer'],
    ['cavities', 'which group of cavities; the first when absent', 'string'],
    ['piece', 'the seed of what is left to chance: another, another piece of the same pour', 'string'],
    ['until', 'the id of the last step that is done in it', 'string'],
    ['as', 'png, or svg or template in true size', 'string'],
    ...more
  ].map(([name, description, type]) => ({
    name,
    in: 'query',
    required: false,
    description,
    schema: { type }
  })),
  responses: {
    '200': { description: 'The picture.', content: { 'image/png': {}, 'image/svg+xml': {} } },
    ...refused
  }
});
