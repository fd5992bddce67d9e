import type { PickOption } from './searched';

export interface PickProps {
  label: string;
  options: readonly PickOption[];
  chosen: PickOption | undefined;
  placeholder: string;
  /** What is chosen is added; the field stays empty for the next. */
  adds?: boolean;
  onChoose(id: string | undefined): void;
}

export interface OpenPickProps extends PickProps {
  /** The letter that opened it. */
  begun: string | undefined;
  onLeave(): void;
}
