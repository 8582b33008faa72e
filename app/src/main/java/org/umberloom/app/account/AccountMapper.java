package org.umberloom.app.account;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {
    String COLUMNS = "select id, email, name, password_hash, role from account ";

    @Select(COLUMNS + "where email = #{email} and removed_at is null")
    Optional<Account> byEmail(String email);

    @Select(COLUMNS + "where id = #{id} and removed_at is null")
    Optional<Account> byId(long id);

    @Select(COLUMNS + "where removed_at is null order by name, id")
    List<Account> all();

    @Select("select count(*) from account")
    int count();

    @Insert(
            "insert into account (email, name, password_hash, role) values (#{email}, #{name}, #{passwordHash}, #{role})")
    void addFirst(String email, String name, String passwordHash, String role);

    /** Somebody who was taken off the list comes back as who they were. */
    @Insert(
            "insert into account (email, name, password_hash, role) values (#{email}, #{name}, #{passwordHash}, #{role}) "
                    + "on duplicate key update name = if(removed_at is null, name, values(name)), "
                    + "password_hash = if(removed_at is null, password_hash, values(password_hash)), "
                    + "role = if(removed_at is null, role, values(role)), removed_at = null")
    void add(String email, String name, String passwordHash, String role);

    @Update("update account set password_hash = #{hash} where id = #{id}")
    void setPassword(long id, String hash);

    @Update("update account set removed_at = #{at}, password_hash = '' where id = #{id}")
    void remove(long id, LocalDateTime at);

    /** One that was sent and not yet accepted. */
    record Invitation(long id, String email, String name, String role, String invitedBy, LocalDateTime expiresAt) {}

    String INVITATION =
            "select i.id, i.email, i.name, i.role, a.name as invited_by, i.expires_at from invitation i join account "
                    + "a on a.id = i.invited_by ";

    @Insert("replace into invitation (word, email, name, role, invited_by, expires_at) values (#{word}, #{email}, "
            + "#{name}, #{role}, #{by}, #{expiresAt})")
    void invite(String word, String email, String name, String role, long by, LocalDateTime expiresAt);

    @Select(INVITATION + "where i.word = #{word}")
    Optional<Invitation> invitation(String word);

    @Select(INVITATION + "order by i.id")
    List<Invitation> invitations();

    /** One row for the one who comes first. */
    @Delete("delete from invitation where word = #{word}")
    int accept(String word);

    @Delete("delete from invitation where id = #{id}")
    int withdraw(long id);
}
