'use client';

import { livesOfParts } from '@/core/field/lives';
import { formatNumber, formatText } from '@/core/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../shell/BuildContext';

const MOST = 12;

/** What fails most, by count and by the time it cost, and how long each part may be expected to live. */
export function Lives() {
  const { revisions, runs, failures } = useBuild();
  const { reader } = useReader();
  const lives = livesOfParts(revisions, runs, failures);
  const failing = lives.filter((one) => one.failures > 0).slice(0, MOST);
  if (failing.length === 0) return null;
  const lost = failing.reduce((sum, { lostMinutes }) => sum + lostMinutes, 0);
  const most = Math.max(1, ...failing.map(({ lostMinutes }) => lostMinutes));
  const held = lives.filter((one) => one.failures === 0 && one.hours > 0);
  return (
    <section aria-label="What fails most">
      <div className="cap" style={{ marginTop: 18 }}><span>What fails most, by the time it cost</span></div>
      <div className="gridbox"><table className="grid tight" data-testid="lives">
        <thead><tr><th>Part</th><th className="num">Failed</th><th className="num">Time lost</th><th style={{ width: 180 }} /><th className="num">Of all</th><th className="num">Driven</th><th>Mean life</th></tr></thead>
        <tbody>{failing.map(({ partId, name, failures: count, lostMinutes, hours, words }) => (
          <tr key={partId}>
            <td><b>{name}</b></td><td className="num">{count}</td><td className="num">{lostMinutes > 0 ? formatText(lostMinutes / 60, 'hours', reader, 2) : 'not noted'}</td>
            <td><div className="sharebar" aria-hidden="true"><span style={{ width: `${(100 * lostMinutes) / most}%`, background: 'var(--slate)' }} /></div></td>
            <td className="num">{lost > 0 ? `${formatNumber((100 * lostMinutes) / lost, reader.locale, 2)}\u00a0%` : ''}</td><td className="num">{formatText(hours, 'hours', reader, 2)}</td><td className="quiet" style={{ fontSize: 13 }}>{words}</td>
          </tr>
        ))}</tbody>
      </table></div>
      {held.length > 0 ? <p className="quiet" style={{ fontSize: 13, marginTop: 4 }}>Without a failure: {held.slice(0, MOST).map(({ name }) => name.toLowerCase()).join(', ')}; each {held[0]!.words}.</p> : null}
    </section>
  );
}
