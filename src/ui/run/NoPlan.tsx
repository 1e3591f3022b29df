'use client';
import styled from 'styled-components';
import { PlaceLink } from './PlaceLink';
import { ProblemList } from './ProblemList';
import { Remedies } from './Remedies';
import { useWorkspace } from './WorkspaceContext';

const Waiting = styled.main`
  max-width: 720px;
  margin: 40px auto;
  padding: 24px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  h2 {
    margin-bottom: 8px;
  }
  li {
    margin: 6px 0;
  }
`;

/**
 * In place of what a plan would fill: that it is being made, or what is in its way and where to go on. A plan that may still give
 * way to a better one is no plan yet where it goes to paper or to the lathe.
 */
export function NoPlan() {
  const { id, planned, problems } = useWorkspace();
  if (!planned.answer || planned.answer.plan) return <Waiting aria-busy>Planning …</Waiting>;
  return (
    <Waiting>
      <h2>There is no plan yet</h2>
      <ProblemList problems={problems} />
      <Remedies />
      <p>
        <PlaceLink id={id} place="part">
          Go on with the part
        </PlaceLink>
      </p>
    </Waiting>
  );
}
