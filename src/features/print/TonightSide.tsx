'use client';

import '@/words/later/bringIn';
import { Page } from '@/ui/layout/Page';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { Note } from '@/ui/controls/Note';
import { Problem } from '@/ui/controls/Problem';
import { useSearchParams } from 'next/navigation';
import { type ReactNode, useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import { USUAL_LIMIT_MINUTES } from '@/core/physics/statistics/spares';
import { liesOf } from '@/core/worked/print/lies';
import { designMark } from '@/core/worked/print/log';
import type { PrintSheet, PrintHow } from '@/core/car/records/prints';
import { plateCsv } from '@/core/physics/printing/plateCsv';
import type { PlateItem } from '@/core/physics/printing/plates';
import { durationText } from '@/core/base/units/duration';
import { formatText } from '@/core/base/units/formatQuantity';
import { estimateOfPart } from '@/core/worked/print/printed';
import type { ChosenPrinter } from '@/core/car/document/print';
import { useReader } from '@/ui/reader';
import { printerTimesWords } from '@/words/checks/printerTimes';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { handOver } from '../session/handOver';
import { SegmentChecks } from '../frame/SegmentChecks';
import { useMeasured } from '../session/useMeasured';
import { Copies } from './Copies';
import { Misfits } from './fits/Misfits';
import { PartTimes } from './PartTimes';
import { PlateCard, type PlateThing } from './PlateCard';
import { PrinterBench } from './PrinterBench';
import { PrintLog } from './PrintLog';
import { printFileOf } from './printFile';
import { workerOf } from '@/workers/clients';
import { Bench, Charts, Readings } from '../frame/Guarded';
import { sendPrint } from './prints';
import { type Plan, usePlates } from './usePlates';
import { WhatToPrint } from './WhatToPrint';
import { problemOf } from '@/words/refusals/problemOf';

const USUAL_SPACING_MM = 5;

/** Plates for what is owed, how long they take, and the log of what was printed. */
export function TonightSide({ tabs }: { tabs: ReactNode }) {
  const { build, revision, keepPrint, printAheadMinutes = USUAL_LIMIT_MINUTES } = useBuild();
  const { document, problems } = useMeasured();
  const { reader } = useReader();
  const [how, setHow] = useState<PrintHow>('final');
  const asked = useSearchParams().get('lay');
  const [counts, setCounts] = useState(() => oneOfEach(document, asked));
  const plan = usePlates(document, how, counts);
  const { plates } = plan.beds;
  const mark = useMemo(
    () => JSON.stringify(plates.map(({ printer, items }) => [printer.id, items])),
    [plates],
  );
  const corrected = plan.printed.filter(({ printer }) =>
    (document.print.printers ?? []).some(({ name }) => name === printer),
  );
  const [moved, setMoved] = useState<{ mark: string; items: Readonly<Record<number, PlateItem[]>> }>();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  const itemsOn = (index: number) =>
    (moved?.mark === mark ? moved.items[index] : undefined) ?? plates[index]!.items;
  const things = useMemo(
    () =>
      new Map(
        document.parts.items.flatMap(({ id, name, mesh }): [string, PlateThing][] => {
          const lies = liesOf(mesh);
          return lies ? [[id, { name, sizeMm: lies.sizeMm }]] : [];
        }),
      ),
    [document],
  );
  /** By the estimate alone, which finished prints correct. */
  const plainS = (id: string, printer: ChosenPrinter) => {
    const part = document.parts.items.find((one) => one.id === id)!;
    const found = estimateOfPart(document, part, how, [], printer);
    return found.ok ? found.value.timeS : 0;
  };
  const nameOfFile = (index: number, kind: string) =>
    `${build.name}-${revision.letter}-plate-${index + 1}.${kind}`.toLowerCase().replace(/[^a-z0-9.]+/g, '-');

  const start = async (index: number, state: 'printing' | 'queued') => {
    setBusy(true);
    setProblem(undefined);
    const now = new Date().toISOString();
    const items = plates[index]!.items.map(({ id }): PrintSheet['items'][number] => {
      const { part, times } = plan.parts.find((one) => one.part.id === id)!;
      return {
        copyId: newId(),
        partId: id,
        partName: part.name,
        design: designMark(part),
        ...(part.material ? { material: part.material.name } : {}),
        ...(times[how] ? { massG: Number(times[how].massG.toPrecision(5)) } : {}),
      };
    });
    const sheet: PrintSheet = {
      id: newId(),
      state,
      how,
      printer: plates[index]!.printer.name,
      items,
      estimateS: itemsOn(index).reduce((sum, { id }) => sum + plainS(id, plates[index]!.printer), 0),
      queuedAt: now,
      ...(state === 'printing' ? { startedAt: now } : {}),
    };
    try {
      const { print, copies } = await sendPrint(revision.id, sheet);
      keepPrint(print, copies);
      setCounts((all) =>
        Object.fromEntries(
          Object.entries(all).map(([id, count]) => [
            id,
            Math.max(0, count - items.filter(({ partId }) => partId === id).length),
          ]),
        ),
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  const to3mf = async (index: number) => {
    setProblem(undefined);
    try {
      const ids = [...new Set(itemsOn(index).map(({ id }) => id))];
      const files = Object.fromEntries(
        await Promise.all(ids.map(async (id) => [id, await printFileOf(document, id)] as const)),
      );
      const found = await workerOf('print').bed(files, itemsOn(index));
      if ('refused' in found) setProblem(`A mesh ${problemOf(found.refused, reader).message}.`);
      else handOver(nameOfFile(index, '3mf'), 'model/3mf', new Uint8Array(found));
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const listOf = (index: number) =>
    handOver(
      nameOfFile(index, 'csv'),
      'text/csv',
      plateCsv(itemsOn(index), (id) => ({
        ...things.get(id)!,
        timeS: plan.parts.find(({ part }) => part.id === id)!.times[how]!.timeS,
        massG: plan.parts.find(({ part }) => part.id === id)!.times[how]!.massG,
      })),
    );

  return (
    <Page>
      <Bench>
        <Box sx={{ mb: 1.5 }}>
          <Toggles label="How it is printed">
            {(['final', 'draft'] as const).map((one) => (
              <Toggle key={one} pressed={how === one} onPress={() => setHow(one)}>
                {one === 'final' ? 'Final' : 'Draft'}
              </Toggle>
            ))}
          </Toggles>
        </Box>
        <WhatToPrint
          parts={plan.parts}
          counts={counts}
          onCount={(id, count) => setCounts((all) => ({ ...all, [id]: count }))}
          onReset={() => setCounts({})}
        />
        <PrinterBench how={how} />
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="print-answer">
          <Answer plan={plan} how={how} hasPrinter={(document.print.printers ?? []).length > 0} />
        </Typography>
        {corrected.length > 0 ? (
          <Typography color="textSecondary" sx={{ mt: 0.5 }} data-testid="print-corrected">
            Times over the estimate: {printerTimesWords(corrected, reader).join(', ')}.
          </Typography>
        ) : plates.length > 0 ? (
          <Typography color="textSecondary" sx={{ mt: 0.5 }}>
            Times are estimated; your first finished print corrects them.
          </Typography>
        ) : null}
        <Problem>{problem}</Problem>
        <Charts>
          {plates.map((plate, index) => (
            <PlateCard
              key={`${mark}${index}`}
              plate={plate}
              number={index + 1}
              items={itemsOn(index)}
              things={things}
              spacingMm={document.print.spacingMm ?? USUAL_SPACING_MM}
              busy={busy}
              onMove={(items) =>
                setMoved((old) => ({
                  mark,
                  items: { ...(old?.mark === mark ? old.items : {}), [index]: items },
                }))
              }
              onStart={(state) => void start(index, state)}
              on3mf={() => void to3mf(index)}
              onList={() => listOf(index)}
            />
          ))}
        </Charts>
        {plates.length > 0 ? (
          <Note sx={{ mt: 8 }}>
            Stay near a running printer and its hot end, and follow your local rules: a smoke alarm in the
            room, nothing that burns around it.
          </Note>
        ) : null}
        <Misfits document={document} misfits={plan.beds.doesNotFit} />
        <PrintLog />
        <PartTimes parts={plan.parts} problems={problems} limitMinutes={printAheadMinutes} />
        <Copies />
        <SegmentChecks segment="print" />
      </Readings>
    </Page>
  );
}

/** One copy of each part that another page asks for, and none of the rest; what is owed where none is asked for. */
function oneOfEach(document: BuildDocument, asked: string | null): Readonly<Record<string, number>> {
  if (asked === null) return {};
  const ids = new Set(asked.split(','));
  return Object.fromEntries(document.parts.items.map(({ id }) => [id, ids.has(id) ? 1 : 0]));
}

function Answer({
  plan: { parts, beds, massG, cost },
  how,
  hasPrinter,
}: {
  plan: Plan;
  how: PrintHow;
  hasPrinter: boolean;
}) {
  const { reader } = useReader();
  const { prints } = useBuild();
  const running = prints.filter(({ state }) => state === 'printing').length;
  if (!hasPrinter) return <>Choose a printer on the bench, and its bed is laid out here.</>;
  if (parts.length === 0)
    return <>No part is printed yet: add parts on the Parts page and drop their meshes there.</>;
  if (parts.every(({ missing }) => missing.length > 0))
    return (
      <>
        Not worked out yet. It will need {[...new Set(parts.flatMap(({ missing }) => missing))].join(', ')} of
        the parts.
      </>
    );
  const { plates } = beds;
  if (plates.length === 0)
    return (
      <>
        {running > 0
          ? `${running === 1 ? 'One plate is' : `${running} plates are`} on the bed; nothing`
          : 'Nothing'}{' '}
        more is owed. Set copies on the bench to print spares ahead.
      </>
    );
  const longest = plates[0]!;
  const one = plates.length === 1;
  return (
    <>
      {one ? 'One plate' : `${plates.length} plates`}
      {how === 'draft' ? ' of drafts' : ''},{' '}
      <Box component="b" sx={{ whiteSpace: 'nowrap' }}>
        {durationText(beds.timeS)}
      </Box>
      {one ? '' : ' until all are done'}, {formatText(massG, 'massG', reader)} of plastic
      {cost === undefined ? '' : <>, {formatText(cost, 'price', reader)}</>}.
      {one ? null : <> The longest takes {durationText(longest.timeS)}: start with it.</>}
    </>
  );
}
