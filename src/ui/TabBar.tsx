import { Tabs } from '@mantine/core';
import type { ReactNode } from 'react';

interface TabBarProps<T extends string> {
  /** What the tabs are of, for who does not see them. */
  label: string;
  tabs: readonly (readonly [id: T, title: ReactNode])[];
  value: T;
  onChange: (tab: T) => void;
  /** Beside each other, or one below the other at the side. */
  orientation?: 'horizontal' | 'vertical';
  /** What lies under it has landmarks of its own, which may stand in no tab panel. */
  landmarks?: boolean;
  /** What lies under the tab that is open. */
  children: ReactNode;
}

/** Tabs of a view, and what lies under the open one. */
export const TabBar = <T extends string>({
  label,
  tabs,
  value,
  onChange,
  orientation,
  landmarks = false,
  children,
}: TabBarProps<T>) => (
  <Tabs
    value={value}
    onChange={(tab) => tab !== null && onChange(tab as T)}
    keepMounted={false}
    orientation={orientation ?? 'horizontal'}
  >
    <nav aria-label={label}>
      <Tabs.List aria-label={label}>
        {tabs.map(([id, title]) => (
          <Tabs.Tab key={id} value={id}>
            {title}
          </Tabs.Tab>
        ))}
      </Tabs.List>
      {landmarks && <Tabs.Panel value={value}>{null}</Tabs.Panel>}
    </nav>
    {landmarks ? (
      children
    ) : (
      <Tabs.Panel value={value} pt="sm">
        {children}
      </Tabs.Panel>
    )}
  </Tabs>
);
