import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { StationParts } from '../StationParts';
import { WholeWay } from '../WholeWay';
import { BindPart } from './BindPart';
import { ChannelBudget } from './ChannelBudget';
import { LinkPart } from './LinkPart';
import { QualityFields } from './QualityFields';
import { ReceiverLossFields } from './ReceiverLossFields';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The radio link: who speaks to whom and how far it reaches, what it carries, and how a receiver is bound. */
export default function AirStation({ id, setup, view, changes }: Props) {
  const all = { setup, view, changes };
  return (
    <>
      <StationParts
        title={`Air: ${setup.air.channels} channels, ${setup.air.packetRate} packets a second`}
        label="Parts of the radio link"
        parts={[
          { part: 'link', name: 'Link', content: <LinkPart id={id} {...all} /> },
          {
            part: 'channels',
            name: 'Channels',
            content: (
              <>
                <ChannelBudget rows={view.budget} />
                <QualityFields {...all} />
                <ReceiverLossFields id={id} setup={setup} changes={changes} />
              </>
            ),
          },
          { part: 'bind', name: 'Bind', content: <BindPart key={id} id={id} setup={setup} /> },
        ]}
      />
      <WholeWay station="air" />
    </>
  );
}
