import { exportBuild } from '@/db/queries/buildFiles';
import { door } from '../../../door';

export const GET = door(async ({ db, workshopId, id }) => {
  const { name, text } = await exportBuild(db, workshopId, id);
  const file = `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'build'}.badger.json`;
  return new Response(text, { headers: { 'content-type': 'application/json; charset=utf-8', 'content-disposition': `attachment; filename="${file}"` } });
});
