import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';

/** Letters of other alphabets than this interface has. */
const NOT_NEEDED = /(?:vietnamese|cyrillic|greek)[^/]*\.woff2$|\.map$/;

/**
 * The service worker of this build with the list of its files; null: there is none (development, where files change under it).
 * @param root the project's folder
 */
export async function serviceWorkerScript(root: string): Promise<string | null> {
  const built = path.join(root, '.next');
  try {
    const [code, build, files] = await Promise.all([
      readFile(path.join(built, 'serviceWorker.js'), 'utf8'),
      readFile(path.join(built, 'BUILD_ID'), 'utf8'),
      readdir(path.join(built, 'static'), { recursive: true, withFileTypes: true }),
    ]);
    const urls = files
      .filter((file) => file.isFile() && !NOT_NEEDED.test(file.name))
      .map((file) => `/_next/static/${path.relative(path.join(built, 'static'), path.join(file.parentPath, file.name))}`)
      .sort();
    return `const CRUMB_BUILD=${JSON.stringify({ build: build.trim(), files: urls })};\n${code}`;
  } catch {
    return null;
  }
} // prettier-ignore
