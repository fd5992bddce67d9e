import { useMemo } from 'react';
import type { PartLoad } from '@/core/car/parts/partShape';
import { hardestForces } from '@/core/worked/links/linksOfBuild';
import { linksOn } from '@/core/worked/parts/heldLinks';
import { LINK_TERMS } from '@/words/checks/links';
import { END_TERMS } from '@/words/terms';
import { DocumentChoice } from '../fields/fields';
import { useBuild } from '../session/BuildContext';

/** Which member or joint of the suspension loads a part. */
export function LinkOfLoad({
  load: { end = 'front', link },
  path,
}: {
  load: PartLoad;
  path: readonly string[];
}) {
  const { document, surface } = useBuild();
  const names = useMemo(() => {
    const found = linksOn(document, end, surface);
    const there = found.ok ? [...hardestForces(found.value).keys()] : [];
    return link === undefined || there.includes(link) ? there : [...there, link];
  }, [document, surface, end, link]);
  return (
    <>
      <DocumentChoice
        path={[...path, 'end']}
        options={[
          ['front', END_TERMS.front],
          ['rear', END_TERMS.rear],
        ]}
      />
      <DocumentChoice
        path={[...path, 'link']}
        options={names.map((name) => [name, LINK_TERMS[name] ?? name] as const)}
      />
    </>
  );
}
