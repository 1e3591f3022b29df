/** For the build: says every source in the language that was asked for (docs/languages.md). */
const { readLanguage } = require('./languages.cjs');
const { saidIn } = require('./wordings.cjs');

const language = readLanguage(process.env.SHINGLE_LANGUAGE);

module.exports = function inLanguage(source) {
  return saidIn(language, source, this.resourcePath);
};
