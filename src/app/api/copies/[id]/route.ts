import { copySheetSchema } from '@/core/print/log.schema';
import { changeCopy } from '@/db/queries/prints';
import { bodyOf, door, sameId } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => Response.json(await changeCopy(db, workshopId, sameId(id, await bodyOf(request, copySheetSchema)))));
