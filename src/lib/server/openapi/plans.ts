import { SHEETS } from '$lib/plan/sheets';
import { answer, body, clashes, id, ifMatch, listOf, picture, ref, refused } from './parts';

/** Plans: stored, computed, drawn, and their sheets. */
export const plansPaths = {
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
  '/api/v1/plans': {
    get: { summary: 'All plans', responses: answer('Latest change first.', listOf(ref('Plan'))) },
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
  }
};
