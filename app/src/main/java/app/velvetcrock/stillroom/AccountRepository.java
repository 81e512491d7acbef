package app.velvetcrock.stillroom;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Accounts are looked up before a household is known. */
interface AccountRepository extends JpaRepository<Account, UUID> {

    @Query("select a from Account a where lower(a.email) = lower(:email)")
    Optional<Account> findByEmail(String email);

    @Query(
            value =
                    "select stillroom_id from membership where account_id = :account and left_at is null order by joined_at desc limit 1",
            nativeQuery = true)
    Optional<UUID> latestStillroom(UUID account);
}
