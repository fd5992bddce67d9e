import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import { hurtCopies } from '@/core/worked/print/hurtCopies';
import { HURT_WORDS } from '@/words/bench/hurtWords';
import { counted } from '@/words/lists';
import { goodCopies } from '@/core/worked/print/log';
import { useBuild } from '../session/BuildContext';
import { usualCopies } from './onTheCar';

/** Which printed copies are on the car: those of the last run, until it is said otherwise. */
export function OnTheCar({
  chosen,
  onChange,
}: {
  chosen: string[] | undefined;
  onChange(copies: string[]): void;
}) {
  const { document, copies, runs, failures } = useBuild();
  const parts = document.parts.items.filter(({ id }) => goodCopies(copies, id).length > 0);
  if (parts.length === 0) return null;
  const on = new Set(chosen ?? usualCopies(document, copies, runs));
  const hurt = hurtCopies(copies, failures);
  const hurtOn = [...on].filter((id) => hurt.has(id)).length;
  const toggle = (id: string) => onChange(on.has(id) ? [...on].filter((one) => one !== id) : [...on, id]);
  return (
    <Fold
      title={
        <>
          On the car: {on.size} printed copies{chosen ? '' : ', as in the last run'}
          {hurtOn > 0 ? `; ${counted(hurtOn, 'of them was', 'of them were')} repaired or damaged before` : ''}
        </>
      }
    >
      {hurtOn > 0 ? (
        <Note tone="caution">
          Before a harder run, swap what was repaired or damaged, or go slowly first: a mended part breaks
          where it was mended.
        </Note>
      ) : null}
      <Typography component="ul" variant="note">
        {parts.map((part) => (
          <li key={part.id} className={fieldsCss.field}>
            <span>{part.name}</span>
            <span>
              {goodCopies(copies, part.id).map(({ id }, at) => (
                <Box component="label" sx={{ ml: 1.25 }} key={id}>
                  <Tick
                    checked={on.has(id)}
                    onChange={() => toggle(id)}
                    aria-label={`${part.name} no. ${at + 1} is on the car`}
                  />{' '}
                  {at + 1}
                  {hurt.has(id) ? (
                    <Typography component="span" color="error">{` ${HURT_WORDS[hurt.get(id)!]}`}</Typography>
                  ) : null}
                </Box>
              ))}
            </span>
          </li>
        ))}
      </Typography>
    </Fold>
  );
}
