import { t } from '../core/words/language';
import { getDocumentAsync } from 'expo-document-picker';

/** As wide as a phone shows it, and no wider. */
const longestPx = 900;
const quality = 0.72;

/**
 * Lets the maker take or choose a photo, made small enough to be kept.
 *
 * @returns a data address; null where she chose none
 * @throws Error with a sentence for the maker where it is no picture
 */
export async function choosePhoto(): Promise<string | null> {
  const picked = await getDocumentAsync({ type: ['image/*'] });
  const file = picked.canceled ? undefined : picked.assets[0]?.file;
  if (!file) return null;
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) throw new Error(t`This file is not a picture. Choose a photo.`);
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', quality);
}
