'use client';

import { Note } from '@/ui/controls/Note';
import { QuantityField } from '@/ui/QuantityField';
import { labelOf } from '@/words/labels/labels';
import { isUnfinished } from '@/core/car/unfinished/unfinished';
import { TYRE_HOLDS } from '@/core/car/document/drive';
import { USUAL_BEAD_STRETCH, USUAL_PEEL_N_PER_MM } from '@/core/worked/drive/tyreOfBuild';
import { TYRE_KINDS } from '@/core/physics/tyres/tyreSpin';
import { tyreForBuild } from '@/core/car/library/items';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { LibraryPick } from '../../fields/LibraryPick';
import { Fields } from '../../frame/Guarded';

const RINGS = TYRE_KINDS.filter((kind) => kind !== 'own');

/** The same tyre by its diameter, as it is sold. */
function TyreDiameter({ radiusMm }: { radiusMm: number }) {
  'use memo';
  const { document, edit, closed } = useBuild();
  const path = ['drive', 'tyre', 'radiusMm'];
  const { above = 0, to = Infinity } = labelOf(path).limits ?? {};
  return (
    <QuantityField
      label="or its diameter"
      quantity="lengthMm"
      value={2 * radiusMm}
      unfinished={isUnfinished(document, path)}
      limits={{ above: 2 * above, to: 2 * to }}
      disabled={closed}
      onChange={(value) =>
        edit([{ path, value: value === undefined ? undefined : value / 2 }], path.join('.'))
      }
    />
  );
}

/** The tyre as it is built and held on its rim. */
export function TyreBench() {
  const { document, library } = useBuild();
  const by = document.drive.tyreHold?.by;
  return (
    <Fields>
      <Group title="Tyre">
        <LibraryPick kind="tyre" path={['drive', 'tyre']} copy={(item) => tyreForBuild(item, library)} />
        {document.drive.tyre ? (
          <>
            <DocumentChoice
              path={['drive', 'tyre', 'ring']}
              label="Built as"
              empty="not said"
              options={RINGS.map((kind) => [kind, kind] as const)}
            />
            <DocumentField path={['drive', 'tyre', 'radiusMm']} label="Radius" />
            <TyreDiameter radiusMm={document.drive.tyre.radiusMm} />
            <DocumentField path={['drive', 'tyre', 'massG']} />
          </>
        ) : null}
      </Group>
      <Group title="On its rim">
        <DocumentChoice
          path={['drive', 'tyreHold', 'by']}
          label="Held by"
          empty="not said"
          options={TYRE_HOLDS.map((one) => [one, one === 'bead' ? 'its bead' : 'glue'] as const)}
        />
        <DocumentField path={['drive', 'tyreHold', 'rimRadiusMm']} example={28} />
        {by === 'bead' ? (
          <DocumentField path={['drive', 'tyreHold', 'beadStretch']} usual={USUAL_BEAD_STRETCH} />
        ) : null}
        {by === 'glue' ? (
          <DocumentField path={['drive', 'tyreHold', 'peelNPerMm']} usual={USUAL_PEEL_N_PER_MM} />
        ) : null}
      </Group>
      <Note>
        A tyre that bursts at speed is a knife. Spin wheels up by remote, behind a shield, with nobody in the
        plane of the wheel and never in the hand. Local rules go first.
      </Note>
    </Fields>
  );
}
