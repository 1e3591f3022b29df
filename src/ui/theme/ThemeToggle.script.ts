/** Sets the theme before the first paint: the one chosen last, or what the system asks for. */
export const themeScript = `document.documentElement.dataset.theme=(()=>{try{return localStorage.getItem('shingle-theme')}catch{}})()||(matchMedia('(prefers-color-scheme: dark)').matches?'night':'day')`;
