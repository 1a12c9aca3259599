import type { Project } from '../../core/model/project';

/** Demos that ship: what each is called and shows, and where the project itself is fetched from once somebody opens it. */
export const demos = [
  {
    id: 'saltmarsh-loom',
    name: 'Saltmarsh loom',
    shows: 'A weaver’s kit, packed, with real things left to settle.',
    project: async () => (await import('./saltmarsh-loom')).demoProject()
  },
  {
    id: 'lanternlight-desk',
    name: 'Lanternlight desk',
    shows: 'A tutor live all day, under office lamps that stay on.',
    project: async () => (await import('./lanternlight-desk')).lanternlightDesk()
  },
  {
    id: 'drovers-road',
    name: 'Drovers’ road',
    shows: 'Three days by bicycle without a socket, all of it carried.',
    project: async () => (await import('./drovers-road')).droversRoad()
  }
] as const satisfies readonly {
  id: string;
  name: string;
  shows: string;
  project: () => Promise<Project>;
}[];

export type DemoId = (typeof demos)[number]['id'];

/** A demo as it ships. */
export const demoOf = (id: DemoId): Promise<Project> =>
  demos.find((demo) => demo.id === id)!.project();
