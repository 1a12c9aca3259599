import { satchel } from '../../state/project-store.svelte';
import { saveFile } from './save-file';

/** Hands the open project over as a satchel file, named after it. */
export async function saveSatchel(): Promise<void> {
  const name =
    (satchel.project?.name ?? 'satchel')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .toLowerCase()
      .slice(0, 60) || 'satchel';
  saveFile(`${name}.satchel.json`, 'application/json', await satchel.exportText());
}
