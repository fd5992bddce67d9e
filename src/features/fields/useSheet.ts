import { useCallback, useEffect } from 'react';
import {
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Resolver,
  set,
  useForm,
  type UseFormReturn,
} from 'react-hook-form';
import { messageOf } from '@/words/refusals/problemOf';

/** Fetched with the first sheet that is sent. */
const rules = () => import('@/core/base/schema/parse');
type Schema = Parameters<Awaited<ReturnType<typeof rules>>['allAgainst']>[0];

const KEPT = 'sheet:';

interface SheetOptions<T> {
  /** Fetched when it is first sent. */
  schema(): Promise<Schema>;
  empty: DefaultValues<T>;
  /** What is sent, of what is typed. */
  toSend(values: T): object;
  /** In other words than the schema's, by the path of the field. */
  words?: Readonly<Record<string, string>>;
  /** Under which name it is kept on this page until it is sent; not kept where it is left out. */
  keptAs?: string;
}

export interface Sheet<T extends FieldValues> extends UseFormReturn<T> {
  /** Once it is sent or given up. */
  forget(): void;
}

/** A sheet that is filled in and sent: judged by the schema of its door, each problem at its field, and kept over a reload. */
export function useSheet<T extends FieldValues>({
  schema,
  empty,
  toSend,
  words = {},
  keptAs,
}: SheetOptions<T>): Sheet<T> {
  const resolver: Resolver<T> = async (values) => {
    const [against, { allAgainst }] = await Promise.all([schema(), rules()]);
    const errors: FieldErrors<T> = {};
    for (const refused of allAgainst(against, toSend(values)))
      set(errors, refused.path, {
        type: refused.code,
        message: words[refused.path] ?? messageOf(refused),
      });
    return Object.keys(errors).length === 0 ? { values, errors: {} } : { values: {}, errors };
  };
  const form = useForm<T>({ defaultValues: empty, resolver, mode: 'onSubmit', reValidateMode: 'onChange' });
  const { reset, subscribe } = form;
  const key = keptAs === undefined ? undefined : `${KEPT}${keptAs}`;
  useEffect(() => {
    if (key === undefined) return;
    const kept = sessionStorage.getItem(key);
    if (kept !== null) reset(JSON.parse(kept) as T, { keepDefaultValues: true });
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => sessionStorage.setItem(key, JSON.stringify(values)),
    });
  }, [key, reset, subscribe]);
  const forget = useCallback(() => {
    if (key !== undefined) sessionStorage.removeItem(key);
  }, [key]);
  return { ...form, forget };
}
