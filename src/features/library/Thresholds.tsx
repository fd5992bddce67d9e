'use client';

import { useState } from 'react';
import type { Thresholds as Margins } from '@/core/checks/check';
import { CHECK_DEFINITIONS, DEFAULT_THRESHOLDS } from '@/core/checks/evaluate';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';

/** Under which margin a check is called tight in this workshop. */
export function Thresholds({ initial }: { initial: Margins }) {
  const [margins, setMargins] = useState<Record<string, number | undefined>>({ ...DEFAULT_THRESHOLDS, ...initial });
  const [said, setSaid] = useState<string>();
  const save = async () => {
    const own = Object.fromEntries(Object.entries(margins).filter(([id, value]) => value !== undefined && value !== DEFAULT_THRESHOLDS[id]));
    try {
      await callApi('PUT', '/api/settings', { thresholds: own });
      setSaid('Saved.');
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  return (
    <form style={{ maxWidth: 460 }} aria-label="Margins" onSubmit={(event) => { event.preventDefault(); void save(); }}>
      <p className="quiet" style={{ margin: '6px 0' }}>A check under a margin of 1 is over. Under the figure here it is tight.</p>
      {CHECK_DEFINITIONS.filter(({ tightUnder }) => tightUnder !== undefined).map(({ id, title }) => (
        <QuantityField key={id} label={title} quantity="coefficient" value={margins[id]} limits={{ from: 1, to: 10 }} example={DEFAULT_THRESHOLDS[id]} onChange={(value) => setMargins((all) => ({ ...all, [id]: value }))} />
      ))}
      <div className="row" style={{ marginTop: 8 }}><button type="submit" className="btn main">Save</button><span role="status">{said}</span></div>
    </form>
  );
}
