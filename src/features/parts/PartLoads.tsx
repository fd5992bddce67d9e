import { breakWords } from '@/words/checks/parts';
import { LOAD_FROM } from '@/words/terms';
import { needNames } from '@/words/needs';
import { useMemo } from 'react';
import type { Part } from '@/core/car/parts/parts';
import { partStrength } from '@/core/worked/parts/partStrength';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { ScrewWays } from './ScrewWays';

/** Every load of one part with what it leaves, also of the build beside it. */
export function PartLoads({ part }: { part: Part }) {
  const { document, surface, ghost } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => partStrength(document, surface, part), [document, surface, part]);
  const other = useMemo(() => {
    const same = ghost?.document.parts.items.find(({ id }) => id === part.id);
    return ghost && same ? partStrength(ghost.document, surface, same) : undefined;
  }, [ghost, surface, part.id]);
  if (!found.ok)
    return (
      <p className="note">
        {part.name} needs {needNames(found.missing)}.
      </p>
    );
  const before = (id: string | undefined) =>
    other?.ok ? other.value.loads.find(({ load }) => load?.id === id)?.margin : undefined;
  return (
    <>
      <div className="gridbox">
        <table className="grid slim" data-testid="part-loads">
          <thead>
            <tr>
              <th>{part.name} under</th>
              <th className="num">Force</th>
              <th className="num">Breaks at</th>
              <th className="num">Margin</th>
              <th className="minor">How</th>
              <th className="num minor">Deflects</th>
            </tr>
          </thead>
          <tbody>
            {found.value.loads.map((row, index) => (
              <tr key={row.load?.id ?? `solid-${index}`}>
                <td>
                  {row.depth === 'solid' ? <b>{LOAD_FROM[row.from]}, on its mesh</b> : LOAD_FROM[row.from]}
                </td>
                <td className="num">{formatText(row.forceN, 'forceN', reader)}</td>
                <td className="num">{formatText(row.breaksAtN, 'forceN', reader)}</td>
                <td className="num" style={row.margin < 1 ? { color: 'var(--rust)' } : undefined}>
                  {formatNumber(row.margin, reader.locale, 3)}
                  {before(row.load?.id) === undefined ? null : (
                    <span className="quiet">
                      {' '}
                      ({ghost!.label}: {formatNumber(before(row.load?.id)!, reader.locale, 3)})
                    </span>
                  )}
                </td>
                <td className="minor">
                  {breakWords(row.mode, row.screwKind)},{' '}
                  {row.between ? 'between the layers' : 'in the material'}
                </td>
                <td className="num minor">
                  {row.deflectionMm === undefined ? '' : formatText(row.deflectionMm, 'lengthMm', reader, 2)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {part.shape?.as === 'boss' ? (
        <ScrewWays
          part={part}
          worst={found.value.loads.find(({ depth }) => depth === 'boss') ?? found.value.worst}
        />
      ) : null}
    </>
  );
}
