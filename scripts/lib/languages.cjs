/** The files of `languages/`, each of which says the wording of the product otherwise (docs/languages.md). */
const { readdirSync, readFileSync } = require('node:fs');
const { join } = require('node:path');

const folder = join(__dirname, '../../languages');

const languageFile = (name) => join(folder, `${name}.json`);

/** The languages that have a file, by their names. */
const languageNames = () => readdirSync(folder).map((name) => name.replace(/\.json$/, ''));

/** A language as its file has it: English wording to its own; empty where it has none yet. */
const readLanguage = (name) => JSON.parse(readFileSync(languageFile(name), 'utf8'));

const places = (text) => [...new Set(text.match(/\{\d+\}/g))].sort().join(' ');

/** What is wrong in a language: values that a wording lacks, or has and the English has not. */
const misfits = (language) =>
  Object.entries(language)
    .filter(([english, own]) => own && places(english) !== places(own))
    .map(([english, own]) => `“${own}” must have the values of “${english}”: ${places(english) || 'none'}`);

module.exports = { languageFile, languageNames, misfits, readLanguage };
