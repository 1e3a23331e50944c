import { PlanDocument } from '$core/document';
import { Shelf } from '$core/shelf';
import { acts } from '$core/pour';
import { jsonSchemaOf, plain } from './json-schema';

/** A plan's JSON schema, with every act's own in the place of an act. */
export function planSchema(): Record<string, unknown> {
  const plan = jsonSchemaOf(PlanDocument) as unknown as {
    properties: { steps: { items: { properties: { act: unknown } } } };
  };
  plan.properties.steps.items.properties.act = {
    oneOf: acts.all().map((a) => plain(a.schema))
  };
  return plan;
}

/** A plan file's JSON schema. Files of version 1 are read too and answered as version 2. */
export function planFileSchema(): Record<string, unknown> {
  const { $schema: _, ...plan } = planSchema();
  const shelf = jsonSchemaOf(Shelf);
  const { $schema, ...rest } = shelf;
  return {
    $schema,
    type: 'object',
    properties: {
      format: { const: 'kirapen.plan', default: 'kirapen.plan' },
      version: { const: 2, default: 2 },
      plan,
      shelf: rest
    },
    required: ['plan', 'shelf']
  };
}
