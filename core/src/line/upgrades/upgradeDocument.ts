import { right, wrong, type Result } from '../../result';
import type { Upgrade, UpgradeProblem } from './upgrade';

/**
 * Brings a stored document to the newest schema version. A document of a newer version than this one knows is
 * refused, not half opened.
 * @throws Error when the upgrades are not numbered from 2, one by one: a mistake in the list itself.
 */
export function upgradeDocument(
  document: Readonly<Record<string, unknown>>,
  upgrades: readonly Upgrade[],
): Result<Record<string, unknown>, UpgradeProblem> {
  upgrades.forEach((upgrade, index) => {
    if (upgrade.to !== index + 2) throw new Error(`Upgrade ${index + 1} must make version ${index + 2}`);
  });
  const newestKnown = upgrades.length + 1;
  const version = document.schemaVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return wrong({ type: 'noVersion' });
  if (version > newestKnown) return wrong({ type: 'tooNew', version, newestKnown });
  return right(
    upgrades
      .filter((upgrade) => upgrade.to > version)
      .reduce<Record<string, unknown>>((older, upgrade) => ({ ...upgrade.run(older), schemaVersion: upgrade.to }), {
        ...document,
      }),
  );
}
