import parse from 'joi-to-json';
import { planFileSchema } from '../src/core/formats/planFile';
import { runFileSchema } from '../src/core/formats/schemas';

/** The published JSON Schemas, by the name of their file in docs/, made from the schemas that check. */
export const publishedSchemas = (): Record<string, object> => ({
  'run-file.schema.json': {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'shingle-run/1',
    ...(parse(runFileSchema, 'json-draft-2019-09') as object),
  },
  'plan-file.schema.json': {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'shingle-plan/1',
    ...(parse(planFileSchema, 'json-draft-2019-09') as object),
  },
});
