import { StationSheet } from '@/features/kit/station-sheet';
import { saveStationAction } from '../../../actions';

export default function NewStationPage() {
  return (
    <div className="page">
      <h1>New twin columns</h1>
      <StationSheet station={null} save={saveStationAction} />
    </div>
  );
}
