'use client';
import styled, { createGlobalStyle } from 'styled-components';

/** Black on white whatever the theme, and only the paper when it is printed. */
export const OnPaper = createGlobalStyle`
  @page { size: A4 portrait; margin: 11mm 11mm 12mm; }
  @media print {
    html, body { background: #fff; }
    body > header, header:has(nav), [role='status']:not(.keep), .screen-only { display: none !important; }
  }
`;

/** A4, black, large. */
export const Paper = styled.main`
  --paper: #fff;
  --sheet: #fff;
  --ink: #000;
  --ink-soft: #222;
  --line: #000;
  --metal: #fff;
  --blue: #000;
  max-width: 188mm;
  margin: 0 auto 30px;
  padding: 6mm;
  background: #fff;
  color: #000;
  font-size: 12pt;
  line-height: 1.25;
  box-shadow: 0 1px 8px rgb(0 0 0 / 18%);
  @media print {
    margin: 0;
    padding: 0;
    box-shadow: none;
    max-width: none;
  }
  h1 {
    font-size: 22pt;
    line-height: 1.1;
  }
  h2 {
    margin: 4mm 0 1mm;
    padding-top: 1.5mm;
    border-top: 2.5px solid #000;
    font-size: 14.5pt;
  }
  .written {
    display: flex;
    gap: 5mm;
    margin-top: 2mm;
    font-size: 10pt;
    break-inside: avoid;
  }
  .written span {
    flex: 1;
    padding-bottom: 4mm;
    border-bottom: 0.3mm solid #000;
  }
  .head {
    display: flex;
    justify-content: space-between;
    gap: 8mm;
  }
  .head .off {
    font: 700 26pt var(--mono);
    text-align: right;
    white-space: nowrap;
  }
  .facts {
    display: flex;
    flex-wrap: wrap;
    gap: 1mm 7mm;
    margin-top: 2.5mm;
  }
  .facts dt {
    font-size: 10pt;
  }
  .facts dd {
    font: 700 13.5pt var(--mono);
    white-space: nowrap;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    table-layout: fixed;
  }
  th {
    padding: 0 2mm 1mm 0;
    border-bottom: 1.2px solid #000;
    font-size: 10pt;
    font-weight: 400;
    text-align: left;
  }
  td {
    padding: 0.6mm 2mm 0.6mm 0;
    border-bottom: 0.5px solid #777;
    vertical-align: top;
  }
  td.figure,
  th.figure {
    font-family: var(--mono);
    text-align: right;
    white-space: nowrap;
  }
  th.figure {
    font-family: var(--sans);
  }
  /* What is set to the right and what is set to the left beside it do not touch. */
  td.figure + td:not(.figure),
  th.figure + th:not(.figure) {
    padding-left: 3mm;
  }
  td.big {
    font-size: 14.5pt;
    font-weight: 700;
  }
  td small {
    display: block;
    font: 400 9.5pt/1.15 var(--sans);
  }
  tr {
    break-inside: avoid;
  }
  .warnings li {
    margin-top: 1mm;
    padding-left: 5mm;
    text-indent: -5mm;
    break-inside: avoid;
  }
  .unproved {
    margin-top: 3mm;
    padding: 2mm 3mm;
    border: 1mm solid #000;
  }
  .foot {
    margin-top: 4mm;
    padding-top: 2mm;
    border-top: 1px solid #000;
    font-size: 10.5pt;
    break-inside: avoid;
  }
`;
