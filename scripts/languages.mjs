import { existsSync, writeFileSync } from 'node:fs';
import gathered from './lib/gathered.cjs';
import languages from './lib/languages.cjs';
import { main, Refusal, say } from './lib/say.mjs';

const { languageFile, languageNames, misfits, readLanguage } = languages;

/**
 * Brings the files of `languages/` up to the wording of the sources, and begins a new one for each name that is given:
 * what is new is empty there, what is gone goes, what is said stays.
 */
await main(() => {
  const begun = process.argv.slice(2);
  const wrong = begun.find((name) => !/^[a-z]{2,3}(-[A-Z]{2})?$/.test(name));
  if (wrong) throw new Refusal(`“${wrong}” is no language; name it as de, fr or pt-BR`);
  const texts = gathered.wordings();
  for (const name of new Set(['en', ...languageNames(), ...begun])) {
    const kept = existsSync(languageFile(name)) ? readLanguage(name) : {};
    const bad = name === 'en' ? [] : misfits(kept);
    if (bad.length > 0) throw new Refusal(`languages/${name}.json:\n${bad.join('\n')}`);
    const language = Object.fromEntries(texts.map((text) => [text, name === 'en' ? text : (kept[text] ?? '')]));
    writeFileSync(languageFile(name), `${JSON.stringify(language, null, 2)}\n`);
    const missing = Object.values(language).filter((own) => !own).length;
    say(`languages/${name}.json: ${texts.length} wordings${missing ? `, ${missing} of them still in English` : ''}\n`);
  }
});
