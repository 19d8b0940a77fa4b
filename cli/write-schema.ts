import { writeFile } from 'node:fs/promises';
import { z } from 'zod';
import { workbookSchema } from '../core/workbook/index.js';

await writeFile('docs/workbook.schema.json', `${JSON.stringify(z.toJSONSchema(workbookSchema), undefined, 2)}\n`);
