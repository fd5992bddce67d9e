import Button from '@mui/material/Button';
import type { Joint, ScrewGroup } from '@/core/car/document/print';
import type { Part } from '@/core/car/parts/parts';
import { startOfPart } from '@/core/car/parts/partKinds';
import { counted } from '@/words/lists';
import { DocumentChoice, DocumentField, Group } from '../fields/fields';
import { useBuild } from '../session/BuildContext';
import { LinkOfLoad } from './LinkOfLoad';
import { LOAD_OPTIONS } from './words';

/** To start with: a pattern of the usual size, pulled off by what usually acts on the part. */
const startOf = ({ kind }: Part): ScrewGroup => ({
  alongMm: 20,
  acrossMm: 20,
  way: 'off',
  from: startOfPart(kind).loads[0]?.from ?? 'landingOneWheel',
});

/** The screws that join a part to others, each joint as a group that shares one load. */
export function ScrewGroups({ part }: { part: Part }) {
  const { document } = useBuild();
  const joints = (document.print.joints ?? []).filter(
    ({ kind, part: holder, to }) => kind === 'screw' && (holder === part.id || to === part.id),
  );
  return joints.map((joint) => <OneGroup key={joint.id} part={part} joint={joint} />);
}

function OneGroup({ part, joint: { id, name, count = 1, group } }: { part: Part; joint: Joint }) {
  const { edit, closed } = useBuild();
  const at = (...keys: string[]) => ['print', 'joints', id, ...keys];
  const inOne = group?.screws ?? count;
  if (!group)
    return closed ? null : (
      <Group title={name} aside={counted(count, 'screw')}>
        <Button onClick={() => edit([{ path: at('group'), value: startOf(part) }])}>
          Check them as a group
        </Button>
      </Group>
    );
  return (
    <Group title={name} aside={counted(count, 'screw')}>
      {count > 1 ? <DocumentField path={at('group', 'screws')} usual={count} /> : null}
      {inOne > 1 ? <DocumentField path={at('group', 'alongMm')} example={20} /> : null}
      {inOne > 2 ? <DocumentField path={at('group', 'acrossMm')} example={20} /> : null}
      <DocumentChoice
        path={at('group', 'from')}
        options={LOAD_OPTIONS.map((one) => [one.id, one.name] as const)}
      />
      {group.from === 'link' ? <LinkOfLoad load={{ ...group, id }} path={at('group')} /> : null}
      {group.from === 'own' ? (
        <DocumentField path={at('group', 'forceN')} example={50} />
      ) : (
        <DocumentField path={at('group', 'share')} usual={1} />
      )}
      <DocumentChoice
        path={at('group', 'way')}
        options={[
          ['off', 'off the plate'],
          ['along', 'along the pattern'],
          ['across', 'across the pattern'],
        ]}
      />
      <DocumentField path={at('group', 'overMm')} usual={0} />
      <DocumentField path={at('group', 'aheadMm')} usual={0} />
      {closed ? null : (
        <Button variant="text" onClick={() => edit([{ path: at('group'), value: undefined }])}>
          no longer check them
        </Button>
      )}
    </Group>
  );
}
