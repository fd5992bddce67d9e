'use client';

import type { Wire } from '@/core/car/document/power';
import { PLUGS, type WireRow, wiringOf } from '@/core/worked/power/wiring';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import type { SupplyView } from './useSupply';

/** Every wire to solder: from, to, what it carries, copper, plug and polarity. */
export function WiringTable({ view }: { view: SupplyView }) {
  const { document } = useBuild();
  const rows = wiringOf(document, view.supply, { packA: view.packA, motorA: view.motorA });
  if (rows.length === 0)
    return (
      <p className="note">
        Choose a pack and a controller, and hang receiver and servo on the pack under Supply: the wires
        between them stand here.
      </p>
    );
  return (
    <section className="gridbox" aria-label="Wiring list" style={{ marginTop: 10 }}>
      <table className="grid tight">
        <thead>
          <tr>
            <th>From</th>
            <th>To</th>
            <th className="num">As a rule</th>
            <th className="num">Peak</th>
            <th className="num">Copper</th>
            <th>Plug</th>
            <th>Socket</th>
            <th>Polarity</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={row.id} row={row} />
          ))}
        </tbody>
      </table>
      <p className="quiet" style={{ fontSize: 12, marginTop: 6 }}>
        Disconnect the pack before you solder, slide the sleeve on first, and check plus and minus before the
        pack goes back. Solder fumes: fresh air. Local rules go first.
      </p>
    </section>
  );
}

function Row({
  row: { id, from, to, typicalA, peakA, wire, wantedMm2, polarity, misfit, thin },
}: {
  row: WireRow;
}) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const { wires } = document.power;
  const set = (key: keyof Wire, value: unknown) =>
    edit(
      wires
        ? [{ path: ['power', 'wires', id, key], value }]
        : [{ path: ['power', 'wires'], value: [{ id, [key]: value }] }],
      `wire-${id}-${key}`,
    );
  const plug = (key: 'plug' | 'socket', label: string) => (
    <select
      className="plainselect"
      aria-label={`${label}, ${from} to ${to}`}
      value={wire[key] ?? ''}
      disabled={closed}
      style={{ maxWidth: 128, ...(misfit ? { borderColor: 'var(--rust)' } : {}) }}
      onChange={(event) => set(key, event.target.value || undefined)}
    >
      <option value="">not said</option>
      {[...new Set([...PLUGS, ...(wire[key] ? [wire[key]] : [])])].map((one) => (
        <option key={one} value={one}>
          {one}
        </option>
      ))}
    </select>
  );
  return (
    <tr data-wire={id}>
      <td>{from}</td>
      <td>
        <b>{to}</b>
      </td>
      <td className="num">{typicalA === undefined ? '—' : formatText(typicalA, 'currentA', reader, 2)}</td>
      <td className="num">{peakA === undefined ? '—' : formatText(peakA, 'currentA', reader, 2)}</td>
      <td style={{ minWidth: 110, color: thin ? 'var(--rust)' : undefined }}>
        <div className="bare">
          <QuantityField
            label={`Copper, ${from} to ${to}`}
            quantity="areaMm2"
            value={wire.areaMm2}
            usual={wantedMm2}
            limits={{ above: 0, to: 100 }}
            disabled={closed}
            onChange={(value) => set('areaMm2', value)}
          />
        </div>
      </td>
      <td>{plug('plug', 'Plug')}</td>
      <td>{plug('socket', 'Socket')}</td>
      <td className="quiet">
        {misfit ? <b style={{ color: 'var(--rust)' }}>does not fit; </b> : null}
        {polarity}
      </td>
    </tr>
  );
}
