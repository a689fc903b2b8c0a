/** What can be wrong with the place where things are kept, and with what is sent there. Sizes in bytes. */
export type ServerFault =
  | { code: 'server.failed'; report: string }
  /** @property seconds for how long it was waited for. */
  | { code: 'server.busy'; seconds: number }
  | { code: 'server.diskFull' }
  | { code: 'server.readOnly'; where: string }
  | { code: 'server.damaged'; where: string; found: string }
  | { code: 'server.cut'; where: string }
  | { code: 'server.dataGone'; where: string }
  | { code: 'server.photosWithoutData'; where: string }
  | { code: 'server.newerData'; where: string; known: number; found: number }
  | { code: 'server.notAFolder'; where: string }
  | { code: 'server.folderInUse'; where: string; by: string | null }
  | { code: 'server.portTaken'; port: number }
  | { code: 'server.noSuchAddress'; host: string }
  | { code: 'server.badSetting'; name: string; value: string; wanted: string }
  | { code: 'server.noPassphrase'; host: string; least: number }
  | { code: 'server.otherHost'; host: string }
  | { code: 'server.otherPage'; origin: string }
  | { code: 'server.passphraseWanted' }
  | { code: 'route.missing' }
  | { code: 'workshop.tooLarge'; bytes: number; limitBytes: number }
  | { code: 'server.tooManyGuesses'; seconds: number }
  | { code: 'request.tooLarge'; bytes: number; limitBytes: number }
  | { code: 'request.notUnpacked' }
  | { code: 'request.notRead'; rule: 'nesting' | 'values'; limit: number }
  | { code: 'change.tooLarge'; bytes: number; limitBytes: number }
  | { code: 'change.idTaken' }
  | { code: 'repair.tooLarge'; bytes: number; limitBytes: number }
  | { code: 'photos.tooLarge'; bytes: number; limitBytes: number };
