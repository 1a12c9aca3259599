/** The version files are written in. Raise it together with a step in migrations.ts and a stored fixture. */
export const SATCHEL_VERSION = 2;
