import { writeFileSync } from 'node:fs';
import { publishedSchemas } from './publishedSchemas';

/** Writes the JSON Schemas into docs/; a unit test sees that they are as new as the schemas they come from. */
for (const [name, schema] of Object.entries(publishedSchemas()))
  writeFileSync(new URL(`../docs/${name}`, import.meta.url), `${JSON.stringify(schema, null, 2)}\n`);
