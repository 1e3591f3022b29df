'use client';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { IconButton } from './Button';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: grid;
  place-items: center;
  padding: 16px;
  background: rgb(20 22 25 / 45%);
`;

const Pane = styled(Modal)<{ $wide: boolean }>`
  width: min(${({ $wide }) => ($wide ? 920 : 720)}px, 100%);
  max-height: 90vh;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  box-shadow: 0 12px 40px rgb(0 0 0 / 30%);
  & section {
    padding: 18px 22px 22px;
    outline: none;
  }
`;

const Head = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 12px;
  h2 {
    font-size: 19px;
  }
`;

export interface WindowProps {
  title: string;
  open: boolean;
  onClose: () => void;
  /** For tables with drawings in them. */
  wide?: boolean;
  children: ReactNode;
}

/** What a window is made of, once it is opened. */
export function WindowPane({ title, open, onClose, wide = false, children }: WindowProps) {
  return (
    <Veil isOpen={open} onOpenChange={(next) => !next && onClose()} isDismissable>
      <Pane $wide={wide}>
        <Dialog>
          <Head>
            <Heading slot="title" level={2}>
              {title}
            </Heading>
            <IconButton aria-label="Close" onPress={onClose}>
              <X size={18} aria-hidden />
            </IconButton>
          </Head>
          {children}
        </Dialog>
      </Pane>
    </Veil>
  );
}
