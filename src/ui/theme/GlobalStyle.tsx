'use client';
import { createGlobalStyle } from 'styled-components';

/**
 * The look, as tokens: warm off-white paper, graphite ink, brass for what is cut, layout blue for what is selected,
 * oxide red for danger only. Night shift is the same workshop with the lamp on.
 */
export const GlobalStyle = createGlobalStyle`
  :root {
    --paper: #f5f2ea;
    --sheet: #fdfcf8;
    --ink: #23272b;
    --ink-soft: #575b5f;
    --line: #ddd7c9;
    --metal: #e9e5dc;
    --brass: #a87a22;
    --brass-soft: #f4e9d3;
    --blue: #2446a8;
    --blue-soft: #dfe6f8;
    --on-blue: #ffffff;
    --oxide: #9c3520;
    --oxide-soft: #f7e3dc;
    --hover: #efeadd;
    --sans: 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif;
    --mono: 'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace;
    --round: 6px;
  }
  :root[data-theme='night'] {
    color-scheme: dark;
    --paper: #191c20;
    --sheet: #21252a;
    --ink: #ece7dc;
    --ink-soft: #b3aea2;
    --line: #3b4047;
    --metal: #343a41;
    --brass: #d6a646;
    --brass-soft: #3a3122;
    --blue: #9db7ff;
    --blue-soft: #2c3757;
    --on-blue: #14181f;
    --oxide: #f2957a;
    --oxide-soft: #43281f;
    --hover: #2b3037;
  }
  *, *::before, *::after { box-sizing: border-box; }
  html { background: var(--paper); color: var(--ink); }
  body { margin: 0; font: 400 15px/1.4 var(--sans); font-variant-numeric: tabular-nums; }
  input, select, textarea, button { font: inherit; color: inherit; }
  h1, h2, h3, p, ul, ol, dl, dd, table { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  a { color: inherit; }
  :focus-visible { outline: 3px solid var(--blue); outline-offset: 2px; }
  .unseen { position: fixed; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
  @page {
    margin: 12mm 11mm 13mm;
    @bottom-right { content: "page " counter(page) " of " counter(pages); font: 9pt sans-serif; color: #000; }
  }
  @media print {
    h1, h2, h3 { break-after: avoid; }
    thead { display: table-header-group; }
    :root, :root[data-theme='night'] {
      color-scheme: light;
      --paper: #fff; --sheet: #fff; --ink: #000; --ink-soft: #222; --line: #777; --metal: #eee; --brass-soft: #fff; --blue-soft: #ddd;
    }
  }
  @media (prefers-contrast: more) {
    :root { --ink: #000; --ink-soft: #222; --line: #555; --sheet: #fff; --paper: #fff; }
    :root[data-theme='night'] { --ink: #fff; --ink-soft: #eee; --line: #aaa; --sheet: #000; --paper: #000; }
  }
  /* The system's own colours: what is chosen, dragged over or wrong is told by its line, since grounds are taken away. */
  @media (forced-colors: active) {
    [aria-current='true'], [aria-selected='true'], [data-selected], [data-chosen], [data-over] { outline: 2px solid Highlight; }
    svg text { fill: CanvasText; }
  }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
`;
