import { writeFileSync } from 'node:fs';
import { openDb } from '@/data/open-db';
import { recordsSchema } from '@/data/records-schema';

// Writes docs/records.schema.json anew, as the tables are now: after a migration that changes a table of records.
writeFileSync('docs/records.schema.json', `${JSON.stringify(recordsSchema(openDb(':memory:')), null, 2)}\n`);
