import { useKitchen, usePeople } from "../../api/queries";
import { Loading, Trouble } from "../../parts/states";
import { say } from "../../words/say";
import { Backups } from "./Backups";
import { CalendarAddress } from "./CalendarAddress";
import { Devices } from "./Devices";
import { HouseUnits } from "./HouseUnits";
import { KitchenPlace } from "./KitchenPlace";
import { People } from "./People";
import { Stove } from "./Stove";
import { Vessels } from "./Vessels";

/** Who drinks, and with what it is brewed; each thing is drawn, and changed where it stands. */
export default function Household() {
  const people = usePeople();
  const kitchen = useKitchen();
  if (people.isPending || kitchen.isPending) return <Loading what={say("household.theHousehold")} />;
  if (people.error || kitchen.error)
    return <Trouble error={people.error ?? kitchen.error} again={() => people.refetch()} />;
  const k = kitchen.data;
  return (
    <div className="grid gap-x-14 gap-y-8 pt-6 lg:grid-cols-2">
      <title>{say("household.householdEmberCup")}</title>
      <h1 className="sr-only">{say("household.household")}</h1>
      <div>
        <People people={people.data} />
        <KitchenPlace kitchen={k} />
        <h2 className="mt-8 text-3xl">{say("household.howNumbersAreRead")}</h2>
        <HouseUnits kitchen={k} />
      </div>
      <div>
        <Vessels vessels={k.vessels} />
        <Stove burners={k.burners} vessels={k.vessels} />
        <Backups />
        <CalendarAddress />
      </div>
      <div className="lg:col-span-2">
        <Devices />
      </div>
    </div>
  );
}
