import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { inSentence } from '@/core/base/units/words';
import { effectText, remedyText } from '@/words/checkWords';
import { checkTitle } from '@/words/checks/names';
import { loadWords } from '@/words/checks/loads';
import { needNames } from '@/words/needs';
import type { Check } from '@/core/verdict/engine/check';
import { partStrength } from '@/core/worked/parts/partStrength';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { CheckFigure } from '../frame/CheckFigure';

const MOST_REMEDIES = 2;

/** The part that breaks first, at what load and how, with the two best remedies. */
export function PartAnswer({ weakest }: { weakest: Check | undefined }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const { items } = document.parts;
  if (!weakest)
    return (
      <Typography variant="answer">
        {items.length === 0
          ? 'List the parts, so that a failure can name the one that broke and the page can say which breaks first.'
          : `${items.length} parts, none that carries anything yet.`}
      </Typography>
    );
  const part = items.find(({ id }) => `parts.${id}` === weakest.id);
  const found = part ? partStrength(document, surface, part) : undefined;
  if (!part || !found?.ok)
    return (
      <Typography variant="answer">
        What breaks first is not worked out yet: {inSentence(checkTitle(weakest))} needs{' '}
        {needNames(found && !found.ok ? found.missing : weakest.missing)}.
      </Typography>
    );
  const { worst } = found.value;
  const holds = worst.margin >= 1;
  const remedies = weakest.remedies.slice(0, MOST_REMEDIES);
  const force = (value: number) => formatText(value, 'forceN', reader);
  return (
    <div>
      <Typography variant="answer">
        <span data-testid="weakest">{part.name}</span> breaks first: {loadWords(worst)} puts{' '}
        {force(worst.forceN)} on it, it breaks at{' '}
        <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
          <CheckFigure check={weakest.id} title={part.name.toLowerCase()} tone={holds ? '' : 'over'}>
            {force(worst.breaksAtN)}
          </CheckFigure>
          ,
        </Box>{' '}
        {formatNumber(worst.margin, reader.locale, 3)} times that, and goes{' '}
        {worst.between ? 'between the layers' : 'in the material'}.
      </Typography>
      {remedies.length > 0 ? (
        <Typography color="textSecondary" sx={{ mt: 0.5 }} data-testid="part-remedies">
          Best against it:{' '}
          {remedies
            .map(
              (remedy) =>
                `${inSentence(remedyText(remedy, reader, { owner: false }))} (${effectText(weakest, remedy, reader)})`,
            )
            .join(', or ')}
          .
        </Typography>
      ) : null}
    </div>
  );
}
