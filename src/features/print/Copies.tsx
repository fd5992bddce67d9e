import { useState } from 'react';
import { livesOfCopies } from '@/core/worked/field/lives';
import type { Versioned } from '@/core/car/records/records';
import type { CopyRecord } from '@/core/car/records/prints';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { saveRecord } from '../session/saveRecord';

/** Every printed copy with its history: when it was made, what was done to it, whether it was given up. */
export function Copies() {
  const { copies, revisions, runs, keepCopy } = useBuild();
  const { reader } = useReader();
  const [chosen, choose] = useState<string>();
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState<string>();
  if (copies.length === 0) return null;
  const good = copies.filter(({ retiredAt }) => retiredAt === undefined).length;
  const numbers = numbersOf(copies);
  const lives = livesOfCopies(copies, runs);
  const save = async (copy: Versioned<CopyRecord>, changed: CopyRecord) => {
    setProblem(undefined);
    try {
      keepCopy(await saveRecord('copy', copy, changed, copy));
      setSaid('');
      choose(undefined);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <details className="more" style={{ marginTop: 12 }}>
      <summary>
        {copies.length} printed {copies.length === 1 ? 'copy' : 'copies'}, {good} of them good: each with its
        history
      </summary>
      {problem ? (
        <p className="note bad" role="alert">
          {problem}
        </p>
      ) : null}
      <div className="gridbox">
        <table className="grid tight" data-testid="copies">
          <thead>
            <tr>
              <th>Copy</th>
              <th>Made</th>
              <th>Of</th>
              <th className="num">Mass</th>
              <th className="num">Driven</th>
              <th>History</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {[...copies]
              .sort((a, b) => a.partName.localeCompare(b.partName) || (a.madeAt < b.madeAt ? -1 : 1))
              .map((copy) => (
                <tr key={copy.id} style={{ opacity: copy.retiredAt ? 0.65 : 1 }}>
                  <td>
                    <b>{copy.partName}</b> no. {numbers.get(copy.id)}
                    {copy.how === 'draft' ? ', draft' : ''}
                  </td>
                  <td>
                    <When at={copy.madeAt} />{' '}
                    <span className="quiet">
                      {revisions.find(({ id }) => id === copy.revisionId)?.letter}
                    </span>
                  </td>
                  <td>{copy.material ?? ''}</td>
                  <td className="num">
                    {copy.massG === undefined ? '' : formatText(copy.massG, 'massG', reader)}
                  </td>
                  <td className="num">
                    {(lives.get(copy.id)?.hours ?? 0) > 0
                      ? formatText(lives.get(copy.id)!.hours, 'hours', reader, 2)
                      : ''}
                  </td>
                  <td className="quiet">
                    {[
                      ...(copy.repairs ?? []).map(({ what }) => what),
                      ...(copy.retiredAt ? [`given up: ${copy.retiredWhy ?? 'no reason given'}`] : []),
                    ].join('; ')}
                  </td>
                  <td style={{ whiteSpace: 'nowrap' }}>
                    {copy.retiredAt ? (
                      <button
                        type="button"
                        className="link"
                        onClick={() => {
                          const { retiredAt: _, retiredWhy: __, ...back } = copy;
                          void save(copy, back);
                        }}
                      >
                        take it back
                      </button>
                    ) : (
                      <button
                        type="button"
                        className="link"
                        aria-label={`What happened to ${copy.partName} no. ${numbers.get(copy.id)}`}
                        onClick={() => choose(chosen === copy.id ? undefined : copy.id)}
                      >
                        note
                      </button>
                    )}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
      {copies
        .filter(({ id }) => id === chosen)
        .map((copy) => (
          <div
            key={copy.id}
            className="note"
            role="group"
            aria-label="What happened to it"
            style={{ maxWidth: 520 }}
          >
            <div className="field text">
              <label htmlFor="copy-said">
                {copy.partName} no. {numbers.get(copy.id)}
              </label>
              <input
                id="copy-said"
                value={said}
                maxLength={300}
                placeholder="e.g. cracked beside the screw"
                onChange={(event) => setSaid(event.target.value)}
              />
            </div>
            <div className="row" style={{ marginTop: 6 }}>
              <button
                type="button"
                className="btn"
                disabled={said.trim() === ''}
                onClick={() =>
                  void save(copy, {
                    ...copy,
                    repairs: [
                      ...(copy.repairs ?? []),
                      { id: newId(), at: new Date().toISOString(), what: said.trim() },
                    ],
                  })
                }
              >
                Repaired, stays in use
              </button>
              <button
                type="button"
                className="btn"
                disabled={said.trim() === ''}
                onClick={() =>
                  void save(copy, { ...copy, retiredAt: new Date().toISOString(), retiredWhy: said.trim() })
                }
              >
                Given up
              </button>
            </div>
          </div>
        ))}
    </details>
  );
}

/** Copies of a part are numbered as they were made. */
function numbersOf(copies: readonly CopyRecord[]): ReadonlyMap<string, number> {
  const counted = new Map<string, number>();
  return new Map(
    [...copies]
      .sort((a, b) => (a.madeAt < b.madeAt ? -1 : a.madeAt > b.madeAt ? 1 : a.id < b.id ? -1 : 1))
      .map(({ id, partId, partName }) => {
        const key = partId ?? partName;
        counted.set(key, (counted.get(key) ?? 0) + 1);
        return [id, counted.get(key)!];
      }),
  );
}
