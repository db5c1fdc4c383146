/** What people of the Lanterns said beside their scores, and what their figures were before. Ours, for the demo only. */
import type { Report } from '@gambito/contract';

export const lanternDiscomforts: readonly { readonly athlete: string; readonly title: string; readonly felt: Report }[] = [
  { athlete: 'Wendrith', title: 'Fog Signal', felt: { where: 'left knee', much: 2, movement: '', note: 'On the stairs too, next morning.' } },
];

export const lanternFigures: readonly { readonly athlete: string; readonly daysAgo: number; readonly name: string; readonly told: string }[] = [
  { athlete: 'Tabrik', daysAgo: 96, name: 'back squat', told: '117.5 kg' },
  { athlete: 'Tabrik', daysAgo: 41, name: 'back squat', told: '122.5 kg' },
  { athlete: 'Tabrik', daysAgo: 6, name: 'back squat', told: '125 kg' },
  { athlete: 'Tabrik', daysAgo: 96, name: 'run 400 m', told: '1:29' },
  { athlete: 'Tabrik', daysAgo: 20, name: 'run 400 m', told: '1:24' },
];

/** who has said nothing lately */
export const lanternSilent = { athlete: 'Dorvane', days: 10 } as const;
