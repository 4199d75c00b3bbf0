import type { MethodId } from '@/core/catalogue';
import { damageLabel, sumsOf, sumStarts, type Repair, type WorkedSums } from '@/core/job';
import { ApartJointSection } from './ApartJointSection';
import { BandingSection } from './BandingSection';
import { CloseSection } from './CloseSection';
import { DrawerSection } from './DrawerSection';
import { DutchmanSection } from './DutchmanSection';
import { FeetSection } from './FeetSection';
import { FillSection } from './FillSection';
import { LevelSection } from './LevelSection';
import { PartSection } from './PartSection';
import { PilotSection } from './PilotSection';
import { PlugSection } from './PlugSection';
import { SliverSection } from './SliverSection';
import { StripsSection } from './StripsSection';

/** The sums of a method that is not veneer under a press, as they are worked out: let in, filled, closed, levelled. Fields are kept with the damage. */
export function SumsSection({
  repair,
  method,
  sums,
}: {
  repair: Repair;
  method: MethodId;
  sums: WorkedSums;
}) {
  const shown = sumsOf(method);
  if (shown.length === 0) return null;
  const starts = sumStarts(repair);
  const title = damageLabel(repair.damage.body);
  const dent = {
    fibresCut: repair.damage.body.answers.fibresCut ?? false,
    finishStays: repair.treated.goal === 'keep',
  };
  const { plug, dutchman, part, wanted, strips, banding, sliver, feet, joint, fill, close } = sums;
  return (
    <>
      {shown.map((sum) => {
        switch (sum) {
          case 'plug':
            return plug ? <PlugSection key={sum} plug={plug} /> : null;
          case 'dutchman':
            return <DutchmanSection key={sum} starts={starts} title={title} dutchman={dutchman} />;
          case 'part':
            return wanted ? (
              <PartSection key={sum} starts={starts} title={title} part={part} wanted={wanted} />
            ) : null;
          case 'pilot':
            return <PilotSection key={sum} starts={starts} main={shown[0] === sum} />;
          case 'drawer':
            return <DrawerSection key={sum} starts={starts} />;
          case 'banding':
            return banding ? <BandingSection key={sum} banding={banding} /> : null;
          case 'apart':
            return joint ? <ApartJointSection key={sum} starts={starts} glued={joint} /> : null;
          case 'strips':
            return strips ? <StripsSection key={sum} starts={starts} title={title} strips={strips} /> : null;
          case 'sliver':
            return sliver ? (
              <SliverSection key={sum} starts={starts} title={title} repair={repair} sliver={sliver} />
            ) : null;
          case 'feet':
            return feet ? <FeetSection key={sum} starts={starts} sum={feet} /> : null;
          case 'fill':
            return fill ? <FillSection key={sum} starts={starts} fill={fill} /> : null;
          case 'close':
            return close ? <CloseSection key={sum} starts={starts} repair={repair} close={close} /> : null;
          case 'level':
            return <LevelSection key={sum} starts={starts} dent={dent} />;
        }
      })}
    </>
  );
}
