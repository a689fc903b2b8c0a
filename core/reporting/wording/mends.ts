import type { MendAct } from '@core/checking/inspect';

/** What a mend does, as its button says it. */
export function mendWords(act: MendAct): string {
  switch (act.does) {
    case 'hollowTo':
      return `Hollow it to ${act.mm} mm`;
    case 'makeLessDeep':
      return `Make step ${act.place} ${act.mm} mm less deep`;
    case 'makeThicker':
      return `Make step ${act.place} ${act.mm} mm thicker`;
    case 'makeWider':
      return `Make step ${act.place} ${act.mm} mm wider`;
    case 'moveHoleIn':
      return `Move the hole in by ${act.mm} mm`;
    case 'putBoss':
      return 'Put a boss round it';
    case 'roundCorner':
      return `Round this corner by ${act.mm} mm`;
    case 'lengthenTongue':
      return `Make the tongue ${act.mm} mm long`;
    case 'thinTongue':
      return `Make the tongue ${act.mm} mm thick`;
    case 'turnOver':
      return 'Turn the part over';
    case 'makeRoomByFits':
      return `Make room for ${act.name} by its fits`;
    case 'makeRoom':
      return `Make room for ${act.name}, ${act.mm} mm all round`;
  }
}
