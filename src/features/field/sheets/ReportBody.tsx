import type { ChosenSurface } from '@/core/car/document/brief';
import type { Conditions } from '@/core/car/records/records';
import type { KeptLog } from '@/core/car/records/benchReport';
import type { KeptTrack, RunReport } from '@/core/car/records/report';
import { isTimedKind, type UntimedKind } from '@/core/car/records/runKinds';
import type { ReactNode } from 'react';
import { useBuild } from '../../session/BuildContext';
import type { Sheet } from '../sheet';
import { EnduranceSheet } from './Endurance';
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

const SHEETS: Readonly<Record<UntimedKind, (props: SheetProps) => ReactNode>> = {
  track: ({ sheet, onTrack }) => <TrackDrop track={sheet.track} onTrack={onTrack} />,
  endurance: ({ given, sheet, conditions }) => (
    <EnduranceSheet id={sheet.id} {...given} conditions={conditions} />
  ),
  laps: ({ given, surface }) => <LapsSheet {...given} surface={surface} />,
  stopping: ({ given, surface }) => <StopsSheet {...given} surface={surface} />,
  spin: ({ given }) => <SpinSheet {...given} />,
  friction: ({ given, surface }) => <FrictionSheet {...given} surface={surface} />,
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
  return SHEETS[sheet.kind]({
    ...props,
    given: { report: sheet.report, onChange: onReport },
    surface: document.brief.surfaces.find(({ id }) => id === sheet.surfaceId) ?? surface,
    parts: document.parts.items.map(({ name }) => name),
  });
}
