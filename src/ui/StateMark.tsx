import markCss from '@/ui/StateMark.module.css';
import type { State } from '@/core/verdict/engine/check';

interface StateMarkProps {
  state: State;
  size?: number;
}

/** The state as a shape: filled, half, cut by a bar, dotted ring. The word stands beside it. */
export function StateMark({ state, size = 12 }: StateMarkProps) {
  return <StateShape className={markCss.mark} state={state} size={size} />;
}

/** The same inside a drawing. */
export function StateShape({ state, size = 12, className }: StateMarkProps & { className?: string }) {
  return (
    <svg
      className={className}
      width={size}
      height={size}
      viewBox="0 0 12 12"
      aria-hidden="true"
      data-mark={className ? state : undefined}
    >
      {state === 'clear' && <circle cx="6" cy="6" r="5" fill="currentColor" />}
      {state === 'tight' && (
        <>
          <circle cx="6" cy="6" r="4.5" fill="none" stroke="currentColor" strokeWidth="1.4" />
          <path d="M6 1.5a4.5 4.5 0 0 1 0 9z" fill="currentColor" />
        </>
      )}
      {state === 'over' && (
        <>
          <path d="M1 5a5 5 0 0 1 10 0z" fill="currentColor" />
          <path d="M1 7a5 5 0 0 0 10 0z" fill="currentColor" />
        </>
      )}
      {state === 'unknown' && (
        <circle
          cx="6"
          cy="6"
          r="4.5"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.4"
          strokeDasharray="1.6 1.8"
        />
      )}
    </svg>
  );
}
