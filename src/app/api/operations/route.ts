import { operations } from '@/core/operations';
import { door } from '../door';

export const GET = door(async () =>
  Response.json({ operations: Object.entries(operations).map(([name, { summary }]) => ({ name, summary })) }),
);
