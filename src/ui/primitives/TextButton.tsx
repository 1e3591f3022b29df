'use client';
import styled from 'styled-components';

/** A button that reads as a word of its sentence. */
export const TextButton = styled.button`
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
`;
