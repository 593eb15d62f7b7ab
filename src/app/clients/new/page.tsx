import { ClientSheet } from '@/features/client/client-sheet';
import { saveClientAction } from '../../actions';

export default function NewClientPage() {
  return (
    <div className="page">
      <h1>New client</h1>
      <ClientSheet client={null} save={saveClientAction} />
    </div>
  );
}
