import { z } from 'zod';
import { Base, materials } from '$core/material';

/** The JSON schema of what a schema reads; a base card as one of the materials there are, each by its own schema. */
export const jsonSchemaOf = (schema: z.ZodType): Record<string, unknown> =>
  z.toJSONSchema(schema, {
    io: 'input',
    override: ({ zodSchema, jsonSchema }) => {
      if ((zodSchema as unknown) === Base)
        Object.assign(jsonSchema, { oneOf: materials.all().map((m) => plain(m.schema)) });
    }
  }) as Record<string, unknown>;

/** The same without the line that says which JSON Schema it is, to stand inside another. */
export function plain(schema: z.ZodType): Record<string, unknown> {
  const { $schema: _, ...rest } = jsonSchemaOf(schema);
  return rest;
}
