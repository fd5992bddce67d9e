import Typography from '@mui/material/Typography';
import type { End, LinkHeld } from '@/core/car/document/suspension';
import { QuantityField } from '@/ui/QuantityField';
import { LINK_TERMS } from '@/words/checks/links';
import { firstUp } from '@/words/lists';
import { Choice, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

/** What one link withstands: by a data sheet or an own test, or as a part of the build. */
export function Withstands({
  end,
  links,
  link,
  isJoint,
  onChoose,
}: {
  end: End;
  links: readonly string[];
  link: string;
  isJoint: boolean;
  onChoose(link: string): void;
}) {
  const { document, edit, closed } = useBuild();
  const list = document.suspension[end]?.held ?? [];
  const own = list.find(({ id }) => id === link) ?? { id: link };
  const set = (change: Partial<LinkHeld>) => {
    const next = Object.fromEntries(
      Object.entries({ ...own, ...change }).filter(([, value]) => value !== undefined),
    ) as unknown as LinkHeld;
    const others = list.filter(({ id }) => id !== link);
    const says = next.pullN !== undefined || next.pushN !== undefined || next.partId !== undefined;
    const held = says ? [...others, next] : others;
    edit([{ path: ['suspension', end, 'held'], value: held.length > 0 ? held : undefined }]);
  };
  return (
    <Group title="What it withstands">
      <Choice
        id="held-link"
        label="Link or joint"
        value={link}
        disabled={false}
        options={links.map((one) => [one, firstUp(LINK_TERMS[one] ?? one)] as const)}
        onChange={onChoose}
      />
      <Choice
        id="held-part"
        label="It is the part"
        value={own.partId ?? ''}
        disabled={closed}
        options={[
          ['', 'none of the build'],
          ...document.parts.items.map(({ id, name }) => [id, name] as const),
        ]}
        onChange={(partId) => set({ partId: partId === '' ? undefined : partId })}
      />
      {own.partId === undefined ? (
        <>
          <QuantityField
            label={isJoint ? 'Holds' : 'Holds when pulled'}
            quantity="forceN"
            limits={{ above: 0, to: 1_000_000 }}
            value={own.pullN}
            disabled={closed}
            onChange={(pullN) => set({ pullN })}
          />
          {isJoint ? null : (
            <QuantityField
              label="Holds when pushed"
              quantity="forceN"
              limits={{ above: 0, to: 1_000_000 }}
              value={own.pushN}
              disabled={closed}
              {...(own.pullN === undefined ? {} : { usual: own.pullN })}
              onChange={(pushN) => set({ pushN })}
            />
          )}
        </>
      ) : null}
      <Typography variant="small" color="textSecondary">
        By its data sheet, or hang weights on one until it lets you down; a part of the build is worked out
        from its shape and material.
      </Typography>
    </Group>
  );
}
