'use client';

import chassisCss from '@/features/chassis/chassis.module.css';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { TextInput } from '@/ui/controls/TextInput';
import { Fold } from '@/ui/controls/Fold';
import { heightOfBuild } from '@/core/worked/air/airOfBuild';
import { type Body, startingDragArea } from '@/core/car/document/chassis';
import { LABELS } from '@/words/labels/labels';
import type { PlacedBody } from '@/core/worked/chassis/bodiesOfBuild';
import { moved } from '@/core/verdict/chassis/onStanding';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
import { Fields } from '../frame/Guarded';

const path = (key: string) => ['chassis', key];

interface ChassisBenchProps {
  bodies: readonly PlacedBody[];
  chosen: string | undefined;
  onChoose(id: string | undefined): void;
}

/** Size, weight and air of the car, and the place of the component that is chosen. */
export function ChassisBench({ bodies, chosen, onChoose }: ChassisBenchProps) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const { chassis } = document;
  const track = Math.max(chassis.trackFrontMm ?? 0, chassis.trackRearMm ?? 0);
  const heightMm = heightOfBuild(document);
  const suggested = track > 0 && heightMm !== undefined ? startingDragArea(track, heightMm) : undefined;
  const body = bodies.find(({ id }) => id === chosen);
  const add = () => {
    const id = `body-${newId().slice(0, 8)}`;
    const item = { id, name: 'New component', massG: 50 };
    edit(
      chassis.bodies
        ? [{ path: ['chassis', 'bodies', id], value: item }]
        : [{ path: ['chassis', 'bodies'], value: [item] }],
    );
    onChoose(id);
  };
  return (
    <Fields>
      {body ? <BodyFields key={body.id} body={body} onGone={() => onChoose(undefined)} /> : null}
      <Group
        title="Components"
        aside={
          closed || bodies.length === 0 ? undefined : (
            <Button variant="link" onClick={add}>
              add one
            </Button>
          )
        }
      >
        {bodies.length === 0 ? (
          <Typography color="textSecondary">They appear with wheelbase and tracks.</Typography>
        ) : null}
        <div className={chassisCss.bodies}>
          {bodies
            .filter(({ fixed }) => !fixed)
            .map(({ id, name, massG, placed }) => (
              <ButtonBase
                key={id}
                aria-pressed={id === chosen}
                onClick={() => onChoose(id === chosen ? undefined : id)}
              >
                <span>
                  {name}
                  {placed ? '' : <small> first guess</small>}
                </span>
                <Typography variant="reading">{formatText(massG, 'massG', reader)}</Typography>
              </ButtonBase>
            ))}
        </div>
      </Group>
      <Group title="Size">
        <DocumentField path={path('wheelbaseMm')} example={285} />
        <DocumentField path={path('trackFrontMm')} example={215} />
        <DocumentField path={path('trackRearMm')} example={215} />
        <DocumentField path={path('rakeDeg')} usual={0} />
        <DocumentField path={path('cornerRadiusM')} example={3} />
      </Group>
      <Group title="On the scale">
        <DocumentField path={path('massG')} example={1600} />
        <DocumentField path={path('frontLoadShare')} example={0.49} />
        <DocumentField path={path('cgHeightMm')} example={62} />
        <Typography variant="small" color="textSecondary">
          Weigh the car ready to run, then with its front wheels on the scale alone: the second over the first
          is the weight on the front axle.
        </Typography>
      </Group>
      <Group title="Air">
        <DocumentField path={path('cdaM2')} example={0.026} />
        {suggested !== undefined && chassis.cdaM2 === undefined && !closed ? (
          <Typography variant="small" color="textSecondary">
            To start with, 0.55 × track × height:{' '}
            <Button
              variant="link"
              onClick={() => edit([{ path: path('cdaM2'), value: Number(suggested.toPrecision(2)) }])}
            >
              take {formatText(suggested, 'areaM2', reader, 2)}
            </Button>
          </Typography>
        ) : null}
        <DocumentField path={path('claFrontM2')} example={0} />
        <DocumentField path={path('claRearM2')} example={0} />
      </Group>
    </Fields>
  );
}

type FigureKey = 'xMm' | 'yMm' | 'zMm' | 'lengthMm' | 'widthMm' | 'heightMm';

function BodyFields({ body, onGone }: { body: PlacedBody; onGone(): void }) {
  const { document, edit, session, closed } = useBuild();
  const { source, sizeMm } = body;
  const held = document.chassis.bodies?.find(({ id }) => id === body.id);
  const set = (change: Partial<Body>) =>
    edit(moved(document, body.id, change), `${body.id}-${Object.keys(change)[0]}`);
  const figure = (key: FigureKey, usual: number) => (
    <div onBlur={() => session.endStep()}>
      <QuantityField
        label={LABELS[`chassis.bodies.*.${key}`]!.label}
        quantity="lengthMm"
        limits={LABELS[`chassis.bodies.*.${key}`]!.limits}
        value={held?.[key]}
        usual={Math.round(10 * usual) / 10}
        disabled={closed}
        onChange={(value) => set({ [key]: value })}
      />
    </div>
  );
  return (
    <Group
      title={body.name}
      aside={
        source === 'own' && !closed ? (
          <Button
            variant="link"
            onClick={() => {
              edit([{ path: ['chassis', 'bodies', body.id], value: undefined }]);
              onGone();
            }}
          >
            remove
          </Button>
        ) : source === 'rest' ? (
          'what is left of the scale’s mass'
        ) : (
          'from the build'
        )
      }
    >
      {source === 'own' ? (
        <>
          <div className={fieldsCss.textField}>
            <label htmlFor="body-name">Name</label>
            <TextInput
              id="body-name"
              defaultValue={body.name}
              maxLength={80}
              disabled={closed}
              onBlur={(event) => {
                const typed = event.target.value.trim();
                if (typed !== '' && typed !== body.name) set({ name: typed });
              }}
            />
          </div>
          <DocumentField path={['chassis', 'bodies', body.id, 'massG']} />
        </>
      ) : null}
      {figure('xMm', body.xMm)}
      {figure('yMm', body.yMm)}
      {figure('zMm', body.zMm)}
      <Fold title="Size of its box">
        {figure('lengthMm', sizeMm[0])}
        {figure('widthMm', sizeMm[1])}
        {figure('heightMm', sizeMm[2])}
      </Fold>
    </Group>
  );
}
