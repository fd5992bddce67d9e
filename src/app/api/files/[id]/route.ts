import { fileContent } from '@/db/queries/files';
import { door } from '../../door';

export const GET = door(async ({ db, workshopId, id }) => {
  const { type, content } = await fileContent(db, workshopId, id);
  return new Response(new Uint8Array(content), {
    headers: {
      'content-type': type,
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'",
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
});
