import { customType, timestamp } from 'drizzle-orm/pg-core';

export const moment = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' });

export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
