import { door } from '../door';

export const dynamic = 'force-dynamic';

export const GET = door(async () => Response.json({ ok: true }));
