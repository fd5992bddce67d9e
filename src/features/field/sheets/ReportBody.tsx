import type { KeptTrack } from '@/core/car/records/records';
import type { RunReport } from '@/core/car/records/report';
import { useBuild } from '../../session/BuildContext';
import type { Sheet } from '../sheet';
import { EnduranceSheet } from './Endurance';
import { SpinSheet } from './Spin';
import { TrackDrop } from './TrackDrop';
import { CrashSheet, DropSheet, TerrainSheet } from './Tried';
import { TyreSpinSheet } from './TyreSpinSheet';
import { BlowsSheet } from './BlowsSheet';

interface ReportBodyProps {
  sheet: Sheet;
  onReport(change: Partial<RunReport>): void;
  onTrack(track: KeptTrack, file: Blob): void;
}

/** What a run that is not timed asks. */
export function ReportBody({ sheet, onReport, onTrack }: ReportBodyProps) {
  const { document } = useBuild();
  const given = { report: sheet.report, onChange: onReport };
  switch (sheet.kind) {
    case 'spin':
      return <SpinSheet {...given} />;
    case 'endurance':
      return <EnduranceSheet id={sheet.id} {...given} />;
    case 'terrain':
      return <TerrainSheet {...given} />;
    case 'drop':
      return <DropSheet {...given} />;
    case 'blows':
      return <BlowsSheet {...given} parts={document.parts.items.map(({ name }) => name)} />;
    case 'tyreSpin':
      return <TyreSpinSheet {...given} />;
    case 'crash':
      return <CrashSheet {...given} />;
    case 'track':
      return <TrackDrop track={sheet.track} onTrack={onTrack} />;
    default:
      return null;
  }
}
