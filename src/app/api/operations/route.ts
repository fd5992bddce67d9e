import { OPERATION_SUMMARIES } from '@/words/labels/operations';
import { door } from '../door';

export const GET = door(async () =>
  Response.json({
    operations: Object.entries(OPERATION_SUMMARIES).map(([name, summary]) => ({ name, summary })),
  }),
);
