/** The pattern of what is out of bounds, to be filled with by its id. */
export function Hatch({ id, opacity = 0.45 }: { id: string; opacity?: number }) {
  return (
    <pattern id={id} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="6" stroke="var(--rust)" strokeWidth="1.6" opacity={opacity} />
    </pattern>
  );
}
