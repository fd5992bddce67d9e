'use client';

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import type { Reader } from '@/core/base/units/formatQuantity';
import { marksOf, type NumberMarks } from '@/core/base/units/parseNumber';
import type { UnitSystem } from '@/core/base/units/quantities';
import { type Writer, writerFor } from '@/words/write';

interface ReaderValue {
  reader: Reader;
  marks: NumberMarks;
  setUnits(units: UnitSystem): void;
}

const ReaderContext = createContext<ReaderValue | undefined>(undefined);

const YEAR_S = 31_536_000;
const keep = (name: string, value: string) => {
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=${YEAR_S}; samesite=lax`;
};

/** Locale and units of the reader, kept in cookies so that server and page agree. */
export function ReaderProvider({
  initial,
  known,
  children,
}: {
  initial: Reader;
  known: boolean;
  children: ReactNode;
}) {
  const [reader, setReader] = useState(initial);
  useEffect(() => {
    // the page answers clicks from here on
    document.documentElement.dataset.alive = '';
  }, []);
  useEffect(() => {
    if (known) return;
    keep('reader-locale', initial.locale);
    keep('reader-units', initial.units);
  }, [known, initial]);
  const setUnits = useCallback((units: UnitSystem) => {
    keep('reader-units', units);
    setReader((current) => ({ ...current, units }));
  }, []);
  const value = useMemo(() => ({ reader, marks: marksOf(reader.locale), setUnits }), [reader, setUnits]);
  return <ReaderContext.Provider value={value}>{children}</ReaderContext.Provider>;
}

/** Says in which money the prices below it are, ISO 4217. */
export function MoneyProvider({ currency, children }: { currency: string; children: ReactNode }) {
  const value = useReader();
  const own = useMemo(
    () => ({ ...value, reader: { ...value.reader, currency: moneySymbol(currency, value.reader.locale) } }),
    [value, currency],
  );
  return <ReaderContext.Provider value={own}>{children}</ReaderContext.Provider>;
}

function moneySymbol(currency: string, locale: string): string {
  const parts = new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
  }).formatToParts(0);
  return parts.find(({ type }) => type === 'currency')?.value ?? currency;
}

/** Writes the numbers of a working for the reader. */
export function useWriter(): Writer {
  const { reader } = useReader();
  return useMemo(() => writerFor(reader), [reader]);
}

export function useReader(): ReaderValue {
  const value = useContext(ReaderContext);
  if (!value) throw new Error('useReader needs a ReaderProvider above it');
  return value;
}
