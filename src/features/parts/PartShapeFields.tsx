'use client';

import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { type Part } from '@/core/car/parts/parts';
import { SCREW_KINDS } from '@/core/car/parts/partShape';
import { SCREW_WORDS } from '@/words/terms';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { useBuild } from '../session/BuildContext';
import { startOfPart } from '@/core/car/parts/partKinds';
import { AS_WORDS, END_WORDS, PROFILE_WORDS, SUPPORT_WORDS } from './words';

export function Shape({ part: { id, kind, name, shape, loads } }: { part: Part }) {
  const { edit, closed } = useBuild();
  const at = (...keys: string[]) => ['parts', 'items', id, ...keys];
  if (!shape) {
    const start = startOfPart(kind);
    return (
      <Group title="At its weakest place">
        <Typography variant="note" color="textSecondary">
          A few dimensions say what {name.toLowerCase()} carries; its own mesh says more.
        </Typography>
        {closed ? null : (
          <Button
            sx={{ mt: 0.75 }}
            onClick={() =>
              edit([
                { path: at('shape'), value: start.shape },
                ...(loads && loads.length > 0 ? [] : [{ path: at('loads'), value: start.loads }]),
              ])
            }
          >
            Start with usual dimensions
          </Button>
        )}
      </Group>
    );
  }
  const round = shape.profile === 'round' || shape.profile === 'tube';
  return (
    <Group title="At its weakest place">
      <DocumentChoice path={at('shape', 'as')} options={AS_WORDS} />
      {shape.as === 'boss' ? (
        <>
          <DocumentField path={at('shape', 'screws')} usual={1} />
          <DocumentField path={at('shape', 'screwMm')} label="Screw, M" example={3} />
          <DocumentField path={at('shape', 'engagementMm')} example={8} />
          <DocumentField path={at('shape', 'wallMm')} label="Plastic around it" example={3} />
          <DocumentChoice
            path={at('shape', 'screwKind')}
            label="Held by"
            options={SCREW_KINDS.map((one) => [one, SCREW_WORDS[one]] as const)}
          />
        </>
      ) : (
        <>
          <DocumentChoice path={at('shape', 'profile')} options={PROFILE_WORDS} />
          {shape.as === 'beam' ? (
            <DocumentChoice path={at('shape', 'support')} options={SUPPORT_WORDS} />
          ) : (
            <DocumentChoice path={at('shape', 'ends')} options={END_WORDS} />
          )}
          <DocumentField
            path={at('shape', 'lengthMm')}
            label={
              shape.as === 'beam' && shape.support !== 'cantilever'
                ? 'Between the supports'
                : shape.as === 'beam'
                  ? 'From hold to load'
                  : 'Between its ends'
            }
            example={30}
          />
          {round ? null : <DocumentField path={at('shape', 'widthMm')} example={12} />}
          <DocumentField
            path={at('shape', 'heightMm')}
            label={round ? 'Diameter' : shape.profile === 'box' ? 'Height' : 'Thickness'}
            example={6}
          />
          {shape.profile === 'tube' || shape.profile === 'box' ? (
            <DocumentField path={at('shape', 'wallMm')} example={2} />
          ) : null}
          {shape.as === 'beam' ? (
            <>
              <DocumentField path={at('shape', 'rootMm')} example={18} />
              <DocumentField path={at('shape', 'filletMm')} example={1} />
            </>
          ) : null}
          {shape.as === 'beam' && !round ? <DocumentField path={at('shape', 'holeMm')} example={3} /> : null}
          {shape.profile === 'flanged' ? (
            <>
              <DocumentField path={at('shape', 'flangeMm')} example={14} />
              <DocumentField path={at('shape', 'wallMm')} label="Flange, thick" example={3} />
            </>
          ) : null}
        </>
      )}
    </Group>
  );
}
