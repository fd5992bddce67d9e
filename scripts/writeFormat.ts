import { writeFileSync } from 'node:fs';
import { buildFileSchema } from '@/core/car/file/buildFile.schema';
import { jsonSchema } from '@/core/base/schema/jsonSchema';

writeFileSync(
  'docs/badger.schema.json',
  `${JSON.stringify(jsonSchema(buildFileSchema, 'Lean Badger build file'), null, 1)}\n`,
);
