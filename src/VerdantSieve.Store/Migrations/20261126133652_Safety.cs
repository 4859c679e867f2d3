using System;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Npgsql.EntityFrameworkCore.PostgreSQL.Metadata;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(SieveContext))]
    [Migration("20261126133652_Safety")]
    public class Safety : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "first_step",
                table: "looks",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<Guid>(
                name: "sent",
                table: "look_steps",
                type: "uuid",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "is_demo",
                table: "AspNetUsers",
                type: "boolean",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "data_protection_keys",
                columns: table => new
                {
                    id = table.Column<int>(type: "integer", nullable: false)
                        .Annotation("Npgsql:ValueGenerationStrategy", NpgsqlValueGenerationStrategy.IdentityByDefaultColumn),
                    friendly_name = table.Column<string>(type: "text", nullable: true),
                    xml = table.Column<string>(type: "text", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_data_protection_keys", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "imports",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    file = table.Column<string>(type: "text", nullable: false),
                    stage = table.Column<string>(type: "text", nullable: false),
                    taxa = table.Column<int>(type: "integer", nullable: false),
                    flora = table.Column<string>(type: "text", nullable: false),
                    faults = table.Column<string>(type: "jsonb", nullable: false),
                    begun = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    heard = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_imports", x => x.id);
                });

            migrationBuilder.CreateIndex(
                name: "ix_look_steps_look_id_sent",
                table: "look_steps",
                columns: new[] { "look_id", "sent" },
                unique: true,
                filter: "sent is not null");

            migrationBuilder.CreateIndex(
                name: "ix_imports_begun",
                table: "imports",
                column: "begun");

            // The demonstration's two accounts, where they were made before they were marked as such.
            migrationBuilder.Sql(
                "update \"AspNetUsers\" set is_demo = true where normalized_user_name in ('MARA', 'EWAN')");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "data_protection_keys");

            migrationBuilder.DropTable(
                name: "imports");

            migrationBuilder.DropIndex(
                name: "ix_look_steps_look_id_sent",
                table: "look_steps");

            migrationBuilder.DropColumn(
                name: "first_step",
                table: "looks");

            migrationBuilder.DropColumn(
                name: "sent",
                table: "look_steps");

            migrationBuilder.DropColumn(
                name: "is_demo",
                table: "AspNetUsers");
        }
    }
}
