package embercup.server.learned;

import org.springframework.data.jpa.repository.JpaRepository;

interface SwitchRepository extends JpaRepository<SwitchEntity, String> {}
