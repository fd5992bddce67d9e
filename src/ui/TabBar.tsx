interface TabBarProps<T extends string> {
  /** What the tabs are sides of. */
  label: string;
  tabs: readonly T[];
  names: Readonly<Record<T, string>>;
  shown: T;
  onShow(tab: T): void;
}

/** The sides of a page, one of them shown; left out on paper. */
export function TabBar<T extends string>({ label, tabs, names, shown, onShow }: TabBarProps<T>) {
  return (
    <div className="tabbar noprint">
      <div className="tabs" role="group" aria-label={label}>
        {tabs.map((one) => (
          <button key={one} type="button" aria-pressed={shown === one} onClick={() => onShow(one)}>
            {names[one]}
          </button>
        ))}
      </div>
    </div>
  );
}
