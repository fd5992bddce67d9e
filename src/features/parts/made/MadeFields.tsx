import fieldsCss from '@/ui/fields.module.css';
import type { Part } from '@/core/car/parts/parts';
import { MADE_KINDS, MADE_RECORDS, type MadeCount, type MadeDim } from '@/core/car/parts/partMade';
import type { MadePart } from '@/core/worked/making/drawer';
import { usualDims } from '@/core/worked/making/usualDims';
import { Tick } from '@/ui/controls/Tick';
import { MADE_DIM_NAMES, MADE_NAMES } from '@/words/labels/made';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

export const isMadeHere = (part: Part): part is MadePart => part.made !== undefined;

/** What a part is drawn as, and its few dimensions; what is not given follows from the document. */
export function MadeFields({ part }: { part: MadePart }) {
  const { document, edit, closed } = useBuild();
  const { made } = part;
  const at = (...keys: string[]) => ['parts', 'items', part.id, 'made', ...keys];
  const record = MADE_RECORDS[made.as];
  const {
    dims,
    counts = [],
    ...has
  } = record as typeof record & {
    dims: readonly MadeDim[];
    counts?: readonly MadeCount[];
    atEnd?: true;
    arms?: true;
    mayBeOpen?: true;
    ofPattern?: true;
  };
  const usual = usualDims(document, part);
  const names = MADE_DIM_NAMES[made.as];
  return (
    <Group title="Drawn here">
      <DocumentChoice path={at('as')} options={MADE_KINDS.map((one) => [one, MADE_NAMES[one]] as const)} />
      {has.atEnd ? (
        <DocumentChoice
          path={at('end')}
          empty={made.as === 'wheel' ? 'rear' : 'front'}
          options={[
            ['front', 'front'],
            ['rear', 'rear'],
          ]}
        />
      ) : null}
      {has.arms ? (
        <DocumentChoice
          path={at('arm')}
          empty="lower"
          options={[
            ['lower', 'lower'],
            ['upper', 'upper'],
          ]}
        />
      ) : null}
      {has.ofPattern ? (
        <DocumentChoice
          path={at('pattern')}
          empty="the first"
          options={(document.print.patterns ?? []).map(({ id, name }) => [id, name] as const)}
        />
      ) : null}
      {has.mayBeOpen ? (
        <div className={fieldsCss.field}>
          <label>
            <Tick
              checked={made.open ?? false}
              disabled={closed}
              onChange={() => edit([{ path: at('open'), value: made.open ? undefined : true }])}
            />{' '}
            Open: two legs that give
          </label>
        </div>
      ) : null}
      {[...dims, ...counts].map((key) => (
        <DocumentField
          key={key}
          path={at(key)}
          {...(names[key] ? { label: names[key] } : {})}
          usual={usual[key]}
        />
      ))}
    </Group>
  );
}
