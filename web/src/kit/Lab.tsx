import { boilingPointC, valueOf } from '@vendu/core';
import { HouseDto, type KitView } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useSessionQuery } from '../session/sessionApi';
import { CELSIUS, METRES, PERCENT, PERCENT_FINE } from '../ui/quantities';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { useChangeHouseMutation } from '../api/kitApi';
import { Section } from './Section';

/** The lab itself: its elevation sets the boiling point, its window the aims. Leads change it. */
export function Lab({ kit: { house } }: { kit: KitView }) {
  const [change] = useChangeHouseMutation();
  const isLead = useSessionQuery().data?.person?.role === 'lead';
  const { window } = house;
  const boilingC = valueOf(boilingPointC({ elevationM: house.elevationM }));
  return (
    <Section
      title="The lab"
      add={
        isLead && (
          <EditButton words="Change" title="Change the lab">
            {(leave) => (
              <FiguresForm
                draftKey="kit.house"
                dto={HouseDto}
                initial={{
                  name: house.name,
                  place: house.place,
                  elevationM: house.elevationM,
                  roomC: house.roomC,
                  ...window,
                  revision: house.revision,
                }}
                fields={[
                  { field: 'name', label: 'Name', kind: 'text' },
                  { field: 'place', label: 'Place', kind: 'text' },
                  {
                    field: 'elevationM',
                    label: 'Elevation',
                    kind: 'figure',
                    quantity: METRES,
                    hint: 'sets the boiling point',
                  },
                  { field: 'roomC', label: 'Room', kind: 'figure', quantity: CELSIUS },
                  { field: 'tdsLowPercent', label: 'Strength from', kind: 'figure', quantity: PERCENT_FINE },
                  { field: 'tdsHighPercent', label: 'Strength to', kind: 'figure', quantity: PERCENT_FINE },
                  { field: 'yieldLowPercent', label: 'Yield from', kind: 'figure', quantity: PERCENT },
                  { field: 'yieldHighPercent', label: 'Yield to', kind: 'figure', quantity: PERCENT },
                ]}
                onSave={async (body) => troubleOf((await change(body)).error)}
                onLeave={leave}
              />
            )}
          </EditButton>
        )
      }
    >
      <p className="flex flex-wrap gap-x-8 gap-y-1">
        <span className="font-semibold">
          {house.name}
          {house.place && `, ${house.place}`}
        </span>
        <span>
          <span className="reading">{house.elevationM}</span> m, water boils at{' '}
          <span className="reading text-temperature">{boilingC.toFixed(1)} °C</span>
        </span>
        <span>
          room <span className="reading text-temperature">{house.roomC} °C</span>
        </span>
        <span>
          window{' '}
          <span className="reading text-strength">
            {window.tdsLowPercent.toFixed(2)}–{window.tdsHighPercent.toFixed(2)} %
          </span>
          ,{' '}
          <span className="reading text-yield">
            {window.yieldLowPercent}–{window.yieldHighPercent} %
          </span>
        </span>
      </p>
    </Section>
  );
}
