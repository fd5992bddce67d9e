'use client';

import { useState } from 'react';
import { type Part, PART_KINDS, type PartKind } from '@/core/build/parts';
import { QuantityField } from '@/ui/QuantityField';
import { newId } from '../api';
import { useBuild } from '../shell/BuildContext';

const KIND_WORDS: Readonly<Partial<Record<PartKind, string>>> = { motorMount: 'motor mount' };
const words = (kind: PartKind) => KIND_WORDS[kind] ?? kind;

/** The list of parts, so that failures can name them. */
export function PartsPage() {
  const { document, edit, closed, failures } = useBuild();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<PartKind>('gear');
  const { items } = document.parts;
  const add = () => {
    if (name.trim() === '') return;
    const id = `part-${newId().slice(0, 8)}`;
    edit([{ path: ['parts', 'items', id], value: { id, name: name.trim().slice(0, 80), kind } satisfies Part }]);
    setName('');
  };
  return (
    <main className="readings" style={{ maxWidth: 900 }}>
      <h1 className="answer">{items.length === 0 ? 'List the parts, so that a failure can name the one that broke.' : `${items.length} parts. What breaks first is not worked out yet: it will need materials and loads.`}</h1>
      {closed ? null : (
        <form className="row" style={{ margin: '12px 0' }} onSubmit={(event) => { event.preventDefault(); add(); }}>
          <input className="plainselect" aria-label="Name of the part" placeholder="e.g. Main gear" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
          <select className="plainselect" aria-label="Kind of part" value={kind} onChange={(event) => setKind(event.target.value as PartKind)}>{PART_KINDS.map((one) => <option key={one} value={one}>{words(one)}</option>)}</select>
          <button type="submit" className="btn" disabled={name.trim() === ''}>Add the part</button>
        </form>
      )}
      <div className="gridbox"><table className="grid slim">
        <thead><tr><th>Part</th><th className="minor">Kind</th><th className="num">Mass</th><th className="num">Failures</th><th /></tr></thead>
        <tbody>
          {items.map((part) => (
            <tr key={part.id}>
              <td><PartName part={part} /></td>
              <td className="minor">{words(part.kind)}</td>
              <td className="num bare"><QuantityField label={`Mass of ${part.name}`} quantity="massG" limits={{ above: 0, to: 100_000 }} value={part.massG} disabled={closed} onChange={(massG) => edit([{ path: ['parts', 'items', part.id, 'massG'], value: massG }], `mass-${part.id}`)} /></td>
              <td className="num">{failures.filter(({ partId }) => partId === part.id).length || ''}</td>
              <td>{closed ? null : <button type="button" className="plain" aria-label={`Take ${part.name} out`} onClick={() => edit([{ path: ['parts', 'items', part.id], value: undefined }])}>take out</button>}</td>
            </tr>
          ))}
        </tbody>
      </table></div>
    </main>
  );
}

function PartName({ part }: { part: Part }) {
  const { edit, closed, session } = useBuild();
  const [text, setText] = useState<string>();
  return (
    <input
      className="plainselect"
      style={{ width: '100%', border: 0, background: 'none', padding: 0 }}
      aria-label={`Name of ${part.name}`}
      value={text ?? part.name}
      maxLength={80}
      disabled={closed}
      onChange={(event) => {
        setText(event.target.value);
        if (event.target.value.trim() !== '') edit([{ path: ['parts', 'items', part.id, 'name'], value: event.target.value.trim() }], part.id);
      }}
      onBlur={() => {
        setText(undefined);
        session.endStep();
      }}
    />
  );
}
