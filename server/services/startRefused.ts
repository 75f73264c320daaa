/** Why a hearth does not start: what happened, what is safe, what to do. Nothing was changed. */
export class StartRefused extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'StartRefused'
  }
}

/** The folder for the database cannot be written. */
export class FolderNotWritable extends StartRefused {
  constructor(readonly folder: string) {
    super(`The folder ${folder} cannot be written. Nothing was changed. Set HEARTH_DATA to a folder you may write to.`)
    this.name = 'FolderNotWritable'
  }
}

/** Another hearth has the folder. */
export class FolderInUse extends StartRefused {
  constructor(readonly folder: string) {
    super(
      `Another hearth is running in the folder ${folder}. Nothing was changed. Stop that one first, or give this one another folder by HEARTH_DATA.`,
    )
    this.name = 'FolderInUse'
  }
}

/** The database was written by a newer version. */
export class NewerDatabase extends StartRefused {
  constructor(readonly migration: string) {
    super(
      `This database was made by a newer version of the hearth (${migration}). Nothing was changed. Start it with that version, or take a copy from before its update.`,
    )
    this.name = 'NewerDatabase'
  }
}

/** The database, or the disk it lies on, is not as it should be. */
export class DatabaseUnfit extends StartRefused {
  constructor(said: string) {
    super(unfitSentence(said))
    this.name = 'DatabaseUnfit'
  }
}

function unfitSentence(said: string): string {
  if (/SQLITE_FULL|ENOSPC/.test(said))
    return 'The disk is full. What was acknowledged is safe; nothing was changed. Make room, then start the hearth again.'
  if (/SQLITE_BUSY|SQLITE_LOCKED/.test(said))
    return 'Another program holds the database. Nothing was changed. Close it, then start the hearth again.'
  if (/SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EROFS/.test(said))
    return 'The database cannot be opened for writing. Nothing was changed. See that its files may be read and written by who starts the hearth.'
  return `The database cannot be used as it stands (${said}). Nothing was changed: it is left as it is.`
}
