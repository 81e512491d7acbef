package app.velvetcrock.batch;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EntryRepository extends JpaRepository<BatchEntry, UUID> {}
