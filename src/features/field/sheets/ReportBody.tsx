import type { ChosenSurface } from '@/core/car/document/brief';
import type { Conditions } from '@/core/car/records/records';
import type { KeptLog } from '@/core/car/records/benchReport';
import type { KeptTrack, RunReport } from '@/core/car/records/report';
import { isTimedKind, type UntimedKind } from '@/core/car/records/runKinds';
import { type ReactNode, Suspense } from 'react';
import { useBuild } from '../../session/BuildContext';
import type { Sheet } from '../sheet';
import { EnduranceSheet } from './Endurance';
import dynamic from 'next/dynamic';
import { FrictionSheet } from './FrictionSheet';
import { LogDrop } from './LogDrop';
import { LapsSheet } from './LapsSheet';
import { StopsSheet } from './StopsSheet';
import { SpinSheet } from './Spin';
import { StaircaseSheet } from './StaircaseSheet';
import { TrackDrop } from './TrackDrop';
import { CrashSheet } from './CrashSheet';
import { DropSheet, TerrainSheet } from './Tried';
import { TyreSpinSheet } from './TyreSpinSheet';
import { WheelBalanceSheet } from './WheelBalanceSheet';
import { BlowsSheet } from './BlowsSheet';

interface ReportBodyProps {
  sheet: Sheet;
  conditions: Conditions | undefined;
  onReport(change: Partial<RunReport>): void;
  onTrack(track: KeptTrack, file: Blob): void;
  onLog(log: KeptLog, file?: Blob): void;
}

interface SheetProps extends ReportBodyProps {
  /** Given to every sheet that fills in a report. */
  given: { report: RunReport; onChange(change: Partial<RunReport>): void };
  parts: readonly string[];
  /** The one that it is driven on. */
  surface: ChosenSurface | undefined;
}

const GripSheet = dynamic(() => import('../grip/GripSheet').then(({ GripSheet: Body }) => Body));
const StraightSheet = dynamic(() => import('../grip/StraightSheet').then(({ StraightSheet: Body }) => Body));
const CoastSheet = dynamic(() => import('../grip/CoastSheet').then(({ CoastSheet: Body }) => Body));
const CircleSheet = dynamic(() => import('../grip/CircleSheet').then(({ CircleSheet: Body }) => Body));

const SHEETS: Readonly<Record<UntimedKind, (props: SheetProps) => ReactNode>> = {
  track: ({ sheet, onTrack }) => <TrackDrop track={sheet.track} onTrack={onTrack} />,
  endurance: ({ given, sheet, conditions }) => (
    <EnduranceSheet id={sheet.id} {...given} conditions={conditions} />
  ),
  laps: ({ given, surface }) => <LapsSheet {...given} surface={surface} />,
  stopping: ({ given, surface }) => <StopsSheet {...given} surface={surface} />,
  spin: ({ given }) => <SpinSheet {...given} />,
  friction: ({ given, surface }) => <FrictionSheet {...given} surface={surface} />,
  grip: ({ given }) => <GripSheet {...given} />,
  straight: ({ given, surface }) => <StraightSheet {...given} surface={surface} />,
  coastDown: ({ given, surface }) => <CoastSheet {...given} surface={surface} />,
  circle: ({ given, surface }) => <CircleSheet {...given} surface={surface} />,
  terrain: ({ given }) => <TerrainSheet {...given} />,
  drop: ({ given }) => <DropSheet {...given} />,
  blows: ({ given, parts }) => <BlowsSheet {...given} parts={parts} />,
  tyreSpin: ({ given }) => <TyreSpinSheet {...given} />,
  log: ({ sheet, onLog }) => <LogDrop log={sheet.report.log} onLog={onLog} />,
  balance: ({ given }) => <WheelBalanceSheet {...given} />,
  staircase: ({ given }) => <StaircaseSheet {...given} />,
  crash: ({ given }) => <CrashSheet {...given} />,
};

/** What a run that is not timed asks. */
export function ReportBody(props: ReportBodyProps) {
  const { document, surface } = useBuild();
  const { sheet, onReport } = props;
  if (isTimedKind(sheet.kind)) return null;
  // a sheet that is still on its way hides nothing but itself
  return (
    <Suspense fallback={null}>
      {SHEETS[sheet.kind]({
        ...props,
        given: { report: sheet.report, onChange: onReport },
        surface: document.brief.surfaces.find(({ id }) => id === sheet.surfaceId) ?? surface,
        parts: document.parts.items.map(({ name }) => name),
      })}
    </Suspense>
  );
}
