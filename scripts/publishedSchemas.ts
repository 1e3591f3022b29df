import parse from 'joi-to-json';
import { cutListSchema, cutsSchema } from '../src/core/formats/cutListFile';
import { daysSchema } from '../src/core/formats/daysFile';
import { planFileSchema } from '../src/core/formats/planFileSchema';
import { runFileSchema } from '../src/core/read/schemas';

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
  'days.schema.json': {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'shingle-days/1',
    ...(parse(daysSchema, 'json-draft-2019-09') as object),
  },
  'cut-list.schema.json': {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'shingle-cutlist/1',
    ...(parse(cutListSchema, 'json-draft-2019-09') as object),
  },
  'cuts.schema.json': {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: 'shingle-cuts/1',
    ...(parse(cutsSchema, 'json-draft-2019-09') as object),
  },
});
