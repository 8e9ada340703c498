import { idKind, type Id } from '@locutor/core/id';

export type VersionId = Id<'version'>;
export const versionId = idKind('version');
