/** For the build: the components' words in languages that the page is not in are left out. */
const language = (process.env.SHINGLE_LANGUAGE ?? 'en').slice(0, 2);

module.exports = function oneLanguage(source) {
  return new RegExp(`/(en|${language})-[A-Z]{2}\\.m?js$`).test(this.resourcePath) ? source : 'export default {};';
};
