/** A place of the application, found by its words. */
export interface Place {
  label: string;
  hint: string;
  href: string;
}

/** Places that hold every word, those whose label begins with what was typed first. */
export function placesFor<P extends Pick<Place, 'label' | 'hint'>>(places: readonly P[], typed: string): P[] {
  const text = typed.trim().toLowerCase();
  const words = text.split(/\s+/);
  const rank = ({ label }: P) => {
    const low = label.toLowerCase();
    return low === text ? 0 : low.startsWith(text) ? 1 : words.every((word) => low.includes(word)) ? 2 : 3;
  };
  return places
    .filter(({ label, hint }) => words.every((word) => `${label} ${hint}`.toLowerCase().includes(word)))
    .map((place, index) => ({ place, index, rank: text === '' ? 0 : rank(place) }))
    .sort((a, b) => a.rank - b.rank || a.index - b.index)
    .map(({ place }) => place);
}
