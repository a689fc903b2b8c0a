import { roomOf, type Import } from './imports';

/** Rooms that are left out of the picture: they may use everything, and nothing uses them. */
const ASIDE = /^(tools|e2e|demo)(\/|$)|^core\/testing$|^server\/testing$/;

/** What depends on what, room by room, as a page with a Mermaid graph. A room stands above what it uses; what follows from a longer way is left out. */
export function drawnRooms(imports: readonly Import[]): string {
  const uses = new Map<string, Set<string>>();
  for (const { from, to } of imports) {
    if (/\.test\.tsx?$/.test(from)) continue;
    const [a, b] = [roomOf(from), roomOf(to)];
    if (a === b || ASIDE.test(a) || ASIDE.test(b)) continue;
    uses.set(a, (uses.get(a) ?? new Set<string>()).add(b));
  }
  const tops = [...new Set([...uses.keys(), ...[...uses.values()].flatMap((to) => [...to])])].sort();
  const groups = new Map<string, string[]>();
  for (const room of tops) {
    const [top, wing] = room.split('/') as [string, string?];
    const group = top === 'core' ? `core/${wing}` : top;
    groups.set(group, [...(groups.get(group) ?? []), room]);
  }
  const id = (room: string) => room.replace(/[^a-z]/gi, '_');
  const lines = [...groups].flatMap(([top, rooms]) => [
    `  subgraph ${id(top)}_["${top}"]`,
    ...rooms.map((room) => `    ${id(room)}["${room.slice(top.length + 1) || top}"]`),
    '  end',
  ]);
  const edges = [...uses]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([room, to]) =>
      [...to]
        .filter((one) => !isLonger(uses, room, one))
        .sort()
        .map((one) => `  ${id(room)} --> ${id(one)}`),
    );
  return [
    '# What depends on what',
    '',
    'Drawn from the imports by `npm run imports`, and compared with them by a test. An arrow goes from a room to one that it uses; an arrow that a longer way says as well is left out. Tests, tools, the demo and `core/testing` may use everything and are not drawn.',
    '',
    '```mermaid',
    'graph TD',
    ...lines,
    ...edges,
    '```',
    '',
  ].join('\n');
}

/** Whether one room is reached from another by way of a third. */
function isLonger(uses: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string): boolean {
  const seen = new Set([from]);
  const left = [...(uses.get(from) ?? [])].filter((one) => one !== to);
  for (let room = left.pop(); room !== undefined; room = left.pop()) {
    if (seen.has(room)) continue;
    seen.add(room);
    if (uses.get(room)?.has(to)) return true;
    left.push(...(uses.get(room) ?? []));
  }
  return false;
}
